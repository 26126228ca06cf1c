import { Router } from 'express';
import * as v from 'valibot';
import { CodeRequest, type LabelsLayout, LabelsRequest } from '@hoddle/contract/labels';
import { labelsPerSheet } from '@hoddle/core/formats/labels/labelSheet';
import { type LaidLabel } from '@hoddle/core/formats/labels/layLabel';
import { labelPdf, layJob } from '../paper/labelSheets';
import { qrPath, qrSvg } from '../paper/qrSquare';
import { Problem } from '../problem';

/**
 * `POST /api/labels`: jar labels as PDF; `POST /api/labels/layout`: the same as it will look, in millimetres; `POST /api/codes`: any
 * words as a code to scan.
 */
export function labelsRoute(): Router {
  return Router()
    .post('/labels', async (req, res) => {
      const job = v.parse(LabelsRequest, req.body);
      const pdf = await labelPdf(job, held(job), Date.now());
      res.attachment('hoddle-labels.pdf').type('application/pdf').send(pdf);
    })
    .post('/codes', (req, res) => {
      res.json(qrSvg(v.parse(CodeRequest, req.body).words));
    })
    .post('/labels/layout', (req, res) => {
      const job = v.parse(LabelsRequest, req.body);
      const { labels } = held(job);
      const count = labels.reduce((sum, each) => sum + each.count, job.startAt - 1);
      const layout: LabelsLayout = {
        labels: labels.map(({ laid, count: copies }, i) => ({
          count: copies,
          laid: drawn(laid, job.labels[i]?.label.address),
        })),
        sheets: Math.ceil(count / labelsPerSheet(job.sheet)),
      };
      res.json(layout);
    });
}

/** With the code as a path: whoever shows it needs no writer of codes. */
function drawn(laid: LaidLabel, address: string | undefined): LabelsLayout['labels'][number]['laid'] {
  const { code, lines } = laid;
  const path = code && address !== undefined ? qrPath(address, code.xMm, code.yMm, code.sideMm) : undefined;
  return { kind: 'laid', lines: [...lines], ...(code && path !== undefined && { code: { ...code, path } }) };
}

/** @throws Problem 422 for what does not fit: a label on its sheet, words on a label */
function held(job: LabelsRequest) {
  const laid = layJob(job);
  if (laid.kind === 'refusal') throw new Problem(422, 'does-not-fit', laid.reason);
  return laid;
}
