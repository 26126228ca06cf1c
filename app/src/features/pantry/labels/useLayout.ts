import { LabelsLayout, type LabelsRequest } from '@hoddle/contract/labels';
import { useEffect, useState } from 'react';
import * as v from 'valibot';
import { askTo } from '@/store/api';

export type Layout = { kind: 'laid'; layout: LabelsLayout; of: string } | { kind: 'not'; why: string; of: string };

/** While somebody types nothing is asked. */
const PAUSE_MS = 250;

/** How labels will look, as the server lays them; undefined until it has said. */
export function useLayout(request: LabelsRequest | undefined): Layout | undefined {
  const [layout, setLayout] = useState<Layout>();
  const body = request && JSON.stringify(request);
  useEffect(() => {
    if (body === undefined) return;
    let isWanted = true;
    const timer = setTimeout(() => {
      void askTo('POST', '/labels/layout', JSON.parse(body) as object).then((answer) => {
        if (!isWanted) return;
        if (answer.kind !== 'done') return setLayout({ kind: 'not', why: answer.message, of: body });
        const read = v.safeParse(LabelsLayout, answer.body);
        if (read.success) setLayout({ kind: 'laid', layout: read.output, of: body });
      });
    }, PAUSE_MS);
    return () => {
      isWanted = false;
      clearTimeout(timer);
    };
  }, [body]);
  return layout;
}
