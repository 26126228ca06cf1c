import { type LabelsRequest } from '@hoddle/contract/labels';
import { labelsByHand } from '@hoddle/core/formats/labels/jarLabelOf';
import { type StockedLot } from '@hoddle/core/pantry/shelf';
import { useState } from 'react';
import { View } from 'react-native';
import { type Sent, SENT_WORDS, sendWords } from '@/household/paper/sendWords';
import { askForFile } from '@/store/api';
import { useHousehold, useNow } from '@/store/useHousehold';
import { dayAndDate } from '@/ui/clockWords';
import { CountStepper } from '@/ui/CountStepper';
import { hueOfProduct } from '@/ui/colours';
import { JarDrawing } from '@/ui/JarDrawing';
import { Key } from '@/ui/Key';
import { Screen } from '@/ui/Screen';
import { SmallKey } from '@/ui/SmallKey';
import { useIsWide } from '@/ui/StationBar';
import { Heading, Words } from '@/ui/Words';
import { saveBlob } from '@/household/paper/files';
import { jarName } from '@/household/pantry/pantryWords';
import { usePantry } from '@/household/pantry/usePantry';
import { justSealed } from './justSealed';
import { PreviewPart } from './PreviewPart';
import { SheetPart } from './SheetPart';
import { SmallPrintPart } from './SmallPrintPart';
import { readNudge, readSheet } from './sheetDraft';
import { useJarLabels } from './useJarLabels';
import { useLabelDraft } from './useLabelDraft';
import { useLayout } from './useLayout';

/** Where none are just sealed, the newest stand here. */
const NEWEST = 6;

/** Labels for jars: those just sealed, or any; as PDF for a sheet of labels, or as lines to write by hand. */
export function LabelsScreen({ lots: asked }: { lots: readonly string[] }) {
  const wide = useIsWide();
  const now = useNow(60_000);
  const { movements } = useHousehold();
  const { stocked } = usePantry();
  const labelOf = useJarLabels();
  const { draft, change, wishes } = useLabelDraft();
  const [counts, setCounts] = useState<Readonly<Record<string, number>>>({});
  const [said, setSaid] = useState<{ words: string; good: boolean }>();
  const [busy, setBusy] = useState(false);
  const [startAt, setStartAt] = useState(1);
  const fresh = justSealed(movements, now);
  const isMeant = ({ id }: StockedLot) => (asked.length > 0 ? asked.includes(id) : fresh.has(id));
  const lots = [...stocked].sort((a, b) => Number(isMeant(b)) - Number(isMeant(a)) || b.madeAt - a.madeAt);
  const countOf = (lot: StockedLot) => counts[lot.id] ?? (isMeant(lot) ? lot.jars : 0);
  const chosen = lots.filter((lot) => countOf(lot) > 0);
  const labels = chosen.map((lot) => ({ lot, jars: countOf(lot), label: labelOf(lot, wishes) }));
  const sheet = readSheet(draft);
  const request: LabelsRequest | undefined =
    sheet.kind === 'sheet' && labels.length > 0
      ? {
          sheet: sheet.sheet,
          startAt,
          nudgeMm: { x: readNudge(draft.nudgeX) ?? 0, y: readNudge(draft.nudgeY) ?? 0 },
          labels: labels.map(({ label, jars }) => ({
            label: { ...label, lines: [...label.lines], small: [...label.small] },
            count: jars,
          })),
        }
      : undefined;
  const layout = useLayout(request);
  const all = labels.reduce((sum, { jars }) => sum + jars, 0);
  const print = async () => {
    if (!request) return;
    setBusy(true);
    const made = await askForFile('/labels', request);
    setBusy(false);
    if (made.kind !== 'file') return setSaid({ words: made.message, good: false });
    saveBlob(made.file, 'hoddle-labels.pdf');
    setSaid({ words: 'The PDF is saved. Print it at full size, without fitting it to the page.', good: true });
  };
  return (
    <Screen
      station="shelf"
      title="Labels"
      note={all === 0 ? 'for any jars on the shelf' : `${all} ${all === 1 ? 'label' : 'labels'}`}
      backTo="/shelf"
      foot={
        <View className="gap-2">
          {said && (
            <Words role={said.good ? 'status' : 'alert'} weight={700}>
              {said.words}
            </Words>
          )}
          <Key
            tall
            words={busy ? 'Making the PDF' : 'Save as PDF'}
            disabled={busy || !request}
            onPress={() => void print()}
          />
        </View>
      }
    >
      <View className={wide ? 'flex-row gap-10' : 'gap-6'}>
        <View className={wide ? 'flex-1 gap-6' : 'gap-6'}>
          <Lots
            key={asked.join()}
            {...{ lots, isMeant, countOf }}
            onCount={(lot, count) => setCounts({ ...counts, [lot.id]: count })}
          />
          {labels.length > 0 && <ByHand text={labelsByHand(labels)} />}
        </View>
        <View className={wide ? 'flex-1 gap-6' : 'gap-6'}>
          <PreviewPart {...{ layout, labels, sheet }} />
          <SheetPart {...{ draft, change, sheet, startAt }} onStart={setStartAt} />
          <SmallPrintPart {...{ draft, change }} />
        </View>
      </View>
    </Screen>
  );
}

interface LotsProps {
  lots: readonly StockedLot[];
  isMeant: (lot: StockedLot) => boolean;
  countOf: (lot: StockedLot) => number;
  onCount: (lot: StockedLot, count: number) => void;
}

/** Which jars; those that are meant first, all others behind a key. */
function Lots({ lots, isMeant, countOf, onCount }: LotsProps) {
  const meant = lots.filter(isMeant);
  const [all, setAll] = useState(false);
  const first = meant.length > 0 ? meant : lots.slice(0, NEWEST);
  const shown = all ? lots : lots.filter((lot) => first.includes(lot) || countOf(lot) > 0);
  return (
    <View className="gap-3">
      <Heading>For which jars</Heading>
      {lots.length === 0 && <Words>No jars stand here yet.</Words>}
      {shown.map((lot) => (
        <View key={lot.id} className="gap-1 border-b border-hair pb-3">
          <View className="flex-row items-center gap-3">
            <JarDrawing size={lot.jar} quartPx={40} look="here" {...hueOfProduct(lot.product)} />
            <View className="flex-1">
              <Words weight={700}>{jarName(lot)}</Words>
              <Words size="label" tone="ink-2">
                made {dayAndDate(lot.madeAt)}; {lot.jars} here
              </Words>
            </View>
          </View>
          <CountStepper
            label={`Labels for ${jarName(lot)}, made ${dayAndDate(lot.madeAt)}`}
            count={countOf(lot)}
            of={countOf(lot) === 1 ? 'label' : 'labels'}
            most={999}
            onCount={(count) => onCount(lot, count)}
          />
        </View>
      ))}
      {!all && shown.length < lots.length && <Key look="outline" words="Other jars too" onPress={() => setAll(true)} />}
    </View>
  );
}

/** Nobody needs a printer: the same lines to copy onto lids, tape or paper. */
function ByHand({ text }: { text: string }) {
  const [sent, setSent] = useState<Sent>();
  return (
    <View className="gap-2">
      <Heading>To write by hand</Heading>
      <View role="group" aria-label="Lines to write by hand" className="rounded-plate bg-plate p-3">
        {text.split('\n').map((line, i) => (
          <Words key={i} weight={line.startsWith(' ') ? 400 : 700}>
            {line === '' ? ' ' : line.trim()}
          </Words>
        ))}
      </View>
      <SmallKey words="Send or copy" onPress={() => void sendWords('Labels', text).then(setSent)} />
      {sent !== undefined && <Words role="status">{SENT_WORDS[sent]}</Words>}
    </View>
  );
}
