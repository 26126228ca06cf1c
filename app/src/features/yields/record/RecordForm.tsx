import { JAR_SIZES, type JarSize, JARS } from '@hoddle/core/handbook/jars';
import { productRow } from '@hoddle/core/handbook/products';
import { type BatchRecord, countsAdded } from '@hoddle/core/yields/batchRecord';
import { checkRecord, type RecordCheck } from '@hoddle/core/yields/checkRecord';
import { outputsOf } from '@hoddle/core/recipe/potOutputs';
import { trimmingsOf } from '@hoddle/core/harvest/leftBehind';
import { cardForCrop } from '@hoddle/core/yields/cardForCrop';
import { cardsOf } from '@hoddle/core/handbook/cards';
import { productsFrom } from '@hoddle/core/yields/estimateJars';
import { useState } from 'react';
import { View } from 'react-native';
import { OneOf } from '@/ui/OneOf';
import { Slip } from '@/ui/Slip';
import { CropKeys, recentCrops } from '@/ui/CropKeys';
import { useHousehold } from '@/store/useHousehold';
import { useUnits } from '@/store/useUnits';
import { Choice } from '@/ui/Choice';
import { ChipRadio } from '@/ui/ChipRadio';
import { Key } from '@/ui/Key';
import { Screen } from '@/ui/Screen';
import { TextField } from '@/ui/TextField';
import { Words } from '@/ui/Words';
import { useLearned } from '@/household/yields/useLearned';
import { AsidePart } from './AsidePart';
import { RecordMore } from './RecordMore';
import { ExpectedPart } from './ExpectedPart';
import { type RecordDraft, readRecord } from './readRecord';

type Told = Omit<BatchRecord, 'id' | 'batchId' | 'madeAt' | 'learnFrom'>;

interface RecordFormProps {
  title: string;
  first: RecordDraft;
  /** Of a batch that was planned: product and crop are known. */
  isPlanned: boolean;
  /** It was written down already: a second time would count it twice. */
  isWritten: boolean;
  onSave: (record: Told, learnFrom: boolean) => void;
}

const SIZES: readonly JarSize[] = ['half-pint', 'pint', 'quart'];

/** Produce in, jars out, the part jar, a note; what cannot be is asked about, and what was typed stays. */
export function RecordForm({ title, first, isPlanned, isWritten, onSave }: RecordFormProps) {
  const { picks, ownMeasures } = useHousehold();
  const learned = useLearned();
  const unit = useUnits() === 'metric' ? 'kg' : 'lb';
  const [draft, setDraft] = useState(first);
  const [two, setTwo] = useState(first.otherJars !== '');
  const [asked, setAsked] = useState(false);
  const change = (part: Partial<RecordDraft>) => {
    setDraft((before) => ({ ...before, ...part }));
    setAsked(false);
  };
  const reading = readRecord(two ? draft : { ...draft, otherJars: '' }, unit, ownMeasures);
  const check: RecordCheck =
    reading.kind === 'record'
      ? checkRecord({ ...reading.record, id: '', batchId: null, madeAt: 0, learnFrom: true }, learned)
      : { kind: 'likely' };
  const slip = asked && reading.kind === 'slip' ? reading : undefined;
  const save = () => {
    setAsked(true);
    if (reading.kind === 'record' && check.kind === 'likely') onSave(reading.record, true);
  };
  if (isWritten) {
    return (
      <Screen station="harvest" title="It is written down" backTo="/harvest">
        <Words>Strike it out under “how this estimate came about” to write it down anew.</Words>
      </Screen>
    );
  }
  return (
    <Screen
      station="harvest"
      title={title}
      note={isPlanned ? productRow(draft.product).name : undefined}
      backTo="/harvest"
      withoutStations
      foot={
        <View className="gap-2">
          {slip && <Slip sentence={slip.sentence} />}
          {asked && check.kind === 'slip' && reading.kind === 'record' ? (
            <Doubt check={check} onMeant={(jar) => change({ jar })} onKeep={() => onSave(reading.record, false)} />
          ) : (
            <>
              <ExpectedPart reading={reading} jar={draft.jar} learned={learned} />
              <Key tall words="Write it down" onPress={save} />
            </>
          )}
        </View>
      }
    >
      <View className="max-w-[560px] gap-4">
        {!isPlanned && (
          <>
            <CropKeys
              first={recentCrops(picks)}
              crop={draft.crop}
              onChoose={(crop) => change({ crop, product: productsFrom(crop)[0]?.product ?? draft.product })}
            />
            <OneOf
              label="Product"
              options={productsFrom(draft.crop).map(({ product, name }) => ({ value: product, words: name }))}
              value={draft.product}
              onChoose={(product) => change({ product: product as RecordDraft['product'] })}
            />
          </>
        )}
        <TextField
          label={`What went in, as picked, in ${unit}`}
          spokenLabel="What went in"
          value={draft.amount}
          onChange={(amount) => change({ amount })}
          wrong={slip?.field === 'amount'}
        />
        <TextField
          label="Full jars"
          numeric
          value={draft.jars}
          onChange={(jars) => change({ jars })}
          wrong={slip?.field === 'jars' || (asked && check.kind === 'slip')}
        />
        <View role="radiogroup" aria-label="Jar" className="flex-row flex-wrap gap-2">
          {(SIZES.includes(draft.jar) ? SIZES : [draft.jar, ...SIZES]).map((jar) => (
            <ChipRadio key={jar} words={JARS[jar].several} chosen={jar === draft.jar} onPress={() => change({ jar })} />
          ))}
        </View>
        <Choice
          label="The jar that was not full"
          value={draft.part}
          onChoose={(part) => change({ part })}
          options={[
            { value: '0', words: 'no part jar' },
            { value: '0.25', words: '1/4' },
            { value: '0.5', words: '1/2' },
            { value: '0.75', words: '3/4' },
          ]}
        />
        {two ? (
          <>
            <TextField
              label="Full jars of another size"
              numeric
              value={draft.otherJars}
              onChange={(otherJars) => change({ otherJars })}
              wrong={slip?.field === 'otherJars'}
            />
            <View role="radiogroup" aria-label="Other jar" className="flex-row flex-wrap gap-2">
              {JAR_SIZES.filter((jar) => jar !== draft.jar).map((jar) => (
                <ChipRadio
                  key={jar}
                  words={JARS[jar].several}
                  chosen={jar === draft.otherJar}
                  onPress={() => change({ otherJar: jar })}
                />
              ))}
            </View>
          </>
        ) : (
          <Key look="quiet" words="Some went into another size" onPress={() => setTwo(true)} />
        )}
        {countsAdded(draft.product) && (
          <View className="gap-4">
            <TextField
              label="Water added that is in the jars, in cups"
              spokenLabel="Water added"
              numeric
              value={draft.water}
              onChange={(water) => change({ water })}
              wrong={slip?.field === 'water'}
            />
            <TextField
              label={`Sugar added, in ${unit}`}
              spokenLabel="Sugar added"
              numeric
              value={draft.sugar}
              onChange={(sugar) => change({ sugar })}
              wrong={slip?.field === 'sugar'}
            />
          </View>
        )}
        <AsidePart
          draft={draft}
          onChange={change}
          wrong={slip?.field}
          isLadled={outputsOf(draft.product).length > 0}
          isTrimmed={isTrimmed(draft)}
          isPlanned={isPlanned}
        />
        <RecordMore draft={draft} onChange={change} isLeftoverWrong={slip?.field === 'leftover'} />
        <Words size="label" tone="ink-2">
          The part jar goes to the refrigerator and is eaten first.
        </Words>
      </View>
    </Screen>
  );
}

/** Whether anything falls off while it is made. */
function isTrimmed({ product, crop }: RecordDraft): boolean {
  const card = cardForCrop(product, crop)?.card ?? cardsOf(product)[0];
  return card !== undefined && trimmingsOf(card).length > 0;
}

/** More or fewer jars than can be: the likely meaning first, then to keep it as a thing apart. */
function Doubt({
  check,
  onMeant,
  onKeep,
}: {
  check: Extract<RecordCheck, { kind: 'slip' }>;
  onMeant: (jar: JarSize) => void;
  onKeep: () => void;
}) {
  const { sentence, meant } = check;
  return (
    <View className="gap-2">
      <Slip sentence={sentence} />
      <Words>Nothing is saved yet; what was typed stays.</Words>
      {meant && <Key tall words={`They were ${JARS[meant].several}`} onPress={() => onMeant(meant)} />}
      <Key look="outline" words="It is as typed; learn nothing from it" onPress={onKeep} />
    </View>
  );
}
