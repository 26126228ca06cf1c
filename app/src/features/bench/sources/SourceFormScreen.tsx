import TriangleAlert from 'lucide-react-native/icons/triangle-alert';
import { JAR_SIZES, isJarSize, type JarSize } from '@hoddle/core/handbook/jars';
import { findProduct } from '@hoddle/core/handbook/products';
import { productCalled } from '@hoddle/core/handbook/nearProducts';
import { SOURCE_KINDS } from '@hoddle/core/process/householdSource';
import { isMethod, type Method } from '@hoddle/core/process/method';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { v7 as uuidV7 } from 'uuid';
import { JarChoice } from '@/ui/JarChoice';
import { MethodChoice } from '@/household/process/MethodChoice';
import { useHouseholdStore } from '@/store/householdStore';
import { Choice } from '@/ui/Choice';
import { COLOURS, hueOfCrop, hueOfProduct } from '@/ui/colours';
import { Key } from '@/ui/Key';
import { RadioRow } from '@/ui/RadioRow';
import { Screen } from '@/ui/Screen';
import { useIsWide } from '@/ui/StationBar';
import { TextField } from '@/ui/TextField';
import { Heading, Words } from '@/ui/Words';
import { BandFields } from '@/household/process/BandFields';
import { KIND_WORDS } from '@/household/process/kindWords';
import { readSourceDraft, type SourceDraft } from '@/household/process/readSourceDraft';

interface SourceFormProps {
  product?: string;
  jar?: string;
  pack?: string;
  method?: string;
}

const HEADSPACES = ['0.125', '0.25', '0.5', '1'] as const;
const HEADSPACE_WORDS = { '0.125': '1/8 in', '0.25': '1/4 in', '0.5': '1/2 in', '1': '1 in' } as const;
/** Own pages are for these; the low-temperature bath is the handbook's alone. */
const FORM_METHODS: readonly Method[] = ['boiling-water', 'steam', 'pressure-dial', 'pressure-weighted'];

/** A page of the household's own: what it is, where it stands, and the minutes of each band it gives. */
export function SourceFormScreen(first: SourceFormProps) {
  const router = useRouter();
  const wide = useIsWide();
  const enter = useHouseholdStore((store) => store.enter);
  const [draft, setDraft] = useState<SourceDraft>(() => firstDraft(first));
  const [asked, setAsked] = useState(false);
  const change = (part: Partial<SourceDraft>) => setDraft((before) => ({ ...before, ...part }));
  const reading = readSourceDraft(draft, 'draft');
  const known = productCalled(draft.food);
  const slip = asked && reading.kind === 'slip' ? reading : undefined;
  const save = () => {
    setAsked(true);
    if (reading.kind !== 'ready') return;
    void enter({ kind: 'source', source: { ...reading.source, id: uuidV7() } });
    router.navigate('/bench/sources');
  };
  return (
    <Screen
      station="bench"
      title="A tested page of our own"
      backTo="/bench/sources"
      withoutStations
      foot={
        <View className="gap-2">
          {slip && (
            <View role="alert" className="flex-row items-center gap-2">
              <TriangleAlert size={24} color={COLOURS.ink} strokeWidth={2.2} />
              <View className="flex-1">
                <Words weight={700}>{slip.sentence}</Words>
                <Words size="small" tone="ink-2">
                  Nothing is saved yet; what was typed stays.
                </Words>
              </View>
            </View>
          )}
          <Key tall words="Keep this page" onPress={save} />
        </View>
      }
    >
      <View className={wide ? 'flex-row gap-10' : 'gap-5'}>
        <View className={`gap-4 ${wide ? 'flex-1' : ''}`}>
          <TextField
            label="Title of the source"
            value={draft.title}
            onChange={(title) => change({ title })}
            wrong={slip?.field === 'title'}
          />
          <View role="radiogroup" aria-label="Kind of source" className="gap-2">
            <Words size="label" weight={600}>
              What it is
            </Words>
            {SOURCE_KINDS.map((kind) => (
              <RadioRow
                key={kind}
                words={KIND_WORDS[kind]}
                chosen={draft.kind === kind}
                onPress={() => change({ kind: kind })}
              />
            ))}
          </View>
          <TextField
            label="Page"
            value={draft.page}
            onChange={(page) => change({ page })}
            wrong={slip?.field === 'page'}
          />
          <TextField
            label="Food"
            value={draft.food}
            onChange={(food) => change({ food })}
            wrong={slip?.field === 'product'}
          />
          <Words size="label" tone="ink-2">
            {known ? `In the handbook: ${known.name}.` : 'Not in the handbook by this name: it is kept under yours.'}
          </Words>
          {!known && (
            <Choice
              label="Is it low-acid food?"
              value={draft.lowAcid ? 'yes' : 'no'}
              onChoose={(value) => change({ lowAcid: value === 'yes' })}
              options={[
                { value: 'no', words: 'fruit, pickle, acid' },
                { value: 'yes', words: 'vegetables, meat, soup' },
              ]}
            />
          )}
        </View>
        <View className={`gap-4 ${wide ? 'flex-1' : ''}`}>
          <Choice
            label="Pack"
            value={draft.pack}
            onChoose={(pack) => change({ pack })}
            options={[
              { value: 'hot', words: 'hot pack' },
              { value: 'raw', words: 'raw pack' },
            ]}
          />
          <JarChoice
            sizes={JAR_SIZES}
            value={draft.jar}
            onChoose={(jar: JarSize) => change({ jar })}
            colours={known ? hueOfProduct(known.product) : hueOfCrop('mixed')}
            isTested={() => true}
          />
          <MethodChoice
            methods={FORM_METHODS}
            value={draft.method}
            onChoose={(method) => change({ method })}
            isTested={() => true}
          />
          <Choice
            label="Headspace"
            value={String(draft.headspaceIn) as (typeof HEADSPACES)[number]}
            onChoose={(value) => change({ headspaceIn: Number(value) })}
            options={HEADSPACES.map((value) => ({ value, words: HEADSPACE_WORDS[value] }))}
          />
          <Heading>Minutes, band by band</Heading>
          <Words tone="ink-2">Only what the page gives. A band left empty is refused, never filled from another.</Words>
          <BandFields
            method={draft.method}
            bands={draft.bands}
            onChange={(bands) => change({ bands })}
            wrong={slip?.field === 'bands'}
          />
        </View>
      </View>
    </Screen>
  );
}

function firstDraft({ product, jar, pack, method }: SourceFormProps): SourceDraft {
  return {
    title: '',
    kind: 'extension',
    page: '',
    food: product === undefined ? '' : (findProduct(product)?.name ?? product),
    lowAcid: false,
    pack: pack === 'raw' ? 'raw' : 'hot',
    jar: jar !== undefined && isJarSize(jar) ? jar : 'pint',
    method: method !== undefined && isMethod(method) && FORM_METHODS.includes(method) ? method : 'boiling-water',
    headspaceIn: 0.5,
    bands: [],
  };
}
