import { JAR_SIZES } from '@hoddle/core/handbook/jars';
import { SOURCE_KINDS } from '@hoddle/core/process/householdSource';
import { type Method } from '@hoddle/core/process/method';
import { type OwnRecipe, type RecipeSource } from '@hoddle/core/process/ownRecipe';
import { bandsOf } from '@hoddle/core/process/withOwnSource';
import { readNumber } from '@hoddle/core/measure/readNumber';
import { useState } from 'react';
import { View } from 'react-native';
import { BandFields } from '@/household/process/BandFields';
import { KIND_WORDS } from '@/household/process/kindWords';
import { JarChoice } from '@/ui/JarChoice';
import { MethodChoice } from '@/household/process/MethodChoice';
import { hueOfCrop } from '@/ui/colours';
import { RadioRow } from '@/ui/RadioRow';
import { SmallKey } from '@/ui/SmallKey';
import { TextField } from '@/ui/TextField';
import { Heading, Words } from '@/ui/Words';

const METHODS: readonly Method[] = ['boiling-water', 'steam', 'pressure-dial', 'pressure-weighted'];

type TypedBands = readonly { readonly minutes: string; readonly psi: string }[];

interface SourceFormProps {
  page: OwnRecipe;
  onChange: (source: RecipeSource | undefined) => void;
  wrong: readonly string[];
}

/** The tested page a recipe is from: what it is, where it stands, and the minutes of each band it gives. */
export function SourceForm({ page, onChange, wrong }: SourceFormProps) {
  const { source } = page;
  const [bands, setBands] = useState<TypedBands>(() => (source ? typedBands(source) : []));
  if (!source) {
    const first: RecipeSource = {
      title: '',
      kind: 'tested-book',
      page: '',
      method: 'boiling-water',
      jar: page.yields.jar,
      bands: [],
    };
    return (
      <View className="items-start">
        <SmallKey words="It is from a tested page" onPress={() => onChange(first)} />
      </View>
    );
  }
  const change = (part: Partial<RecipeSource>) => onChange({ ...source, ...part });
  const type = (typed: TypedBands, method = source.method) => {
    setBands(typed);
    onChange({ ...source, method, bands: readBands(typed, method) });
  };
  return (
    <View className="gap-3">
      <Heading>The tested page it is from</Heading>
      <TextField
        label="Title of the source"
        value={source.title}
        onChange={(title) => change({ title })}
        wrong={wrong.includes('title')}
      />
      <TextField
        label="Page"
        value={source.page}
        onChange={(text) => change({ page: text })}
        wrong={wrong.includes('page')}
      />
      <View role="radiogroup" aria-label="Kind of source" className="gap-2">
        {SOURCE_KINDS.map((kind) => (
          <RadioRow
            key={kind}
            words={KIND_WORDS[kind]}
            chosen={source.kind === kind}
            onPress={() => change({ kind })}
          />
        ))}
      </View>
      <JarChoice
        sizes={JAR_SIZES}
        value={source.jar}
        onChoose={(jar) => change({ jar })}
        colours={hueOfCrop('mixed')}
        isTested={() => true}
      />
      <MethodChoice
        methods={METHODS}
        value={source.method}
        onChoose={(method) => type([], method)}
        isTested={() => true}
      />
      <Words tone="ink-2">
        Minutes only where the page gives them. A band left empty is refused, never filled from another.
      </Words>
      <BandFields
        method={source.method}
        bands={bands}
        onChange={(typed) => type(typed)}
        wrong={wrong.includes('bands')}
      />
      <View className="items-start">
        <SmallKey
          words="It has no tested page after all"
          onPress={() => {
            setBands([]);
            onChange(undefined);
          }}
        />
      </View>
    </View>
  );
}

function typedBands({ method, bands }: RecipeSource): TypedBands {
  return bandsOf(method).map((band) => {
    const given = bands.find(({ upToFt }) => (upToFt ?? Infinity) === band.upToFt);
    return {
      minutes: given ? String(given.minutes) : '',
      psi: given?.pressurePsi === undefined ? '' : String(given.pressurePsi),
    };
  });
}

/** What of the fields is a whole number of minutes; a field that is none gives no band. */
function readBands(typed: TypedBands, method: Method): RecipeSource['bands'] {
  return bandsOf(method).flatMap((band, i) => {
    const minutes = readNumber(typed[i]?.minutes ?? '');
    const psi = readNumber(typed[i]?.psi ?? '');
    if (minutes.kind !== 'number' || !Number.isInteger(minutes.value)) return [];
    const pressure = psi.kind === 'number' && method.startsWith('pressure') ? { pressurePsi: psi.value } : {};
    return [{ upToFt: band.upToFt === Infinity ? null : band.upToFt, minutes: minutes.value, ...pressure }];
  });
}
