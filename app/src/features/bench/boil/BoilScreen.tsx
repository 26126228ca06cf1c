import { boilingPointF, jellyPointF } from '@hoddle/core/process/boilingPoint';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { BARE_CELLS } from '@/household/process/bandCells';
import { useHousehold } from '@/store/useHousehold';
import { altitudeWords, temperatureWords } from '@/ui/amountWords';
import { AltitudeBands } from '@/ui/AltitudeBands';
import { Key } from '@/ui/Key';
import { Heading, Words } from '@/ui/Words';
import { AnswerPlate } from '../instrument/AnswerPlate';
import { Instrument } from '../instrument/Instrument';
import { Thermometer } from './Thermometer';

/** Where water boils and jelly sets in this kitchen, and how to tell the set without a thermometer. */
export function BoilScreen() {
  const { altitudeFt, units } = useHousehold().household;
  return (
    <Instrument title="Boil here" note={altitudeFt === null ? undefined : altitudeWords(altitudeFt, units)}>
      {altitudeFt === null ? <NoAltitude /> : <Points altitudeFt={altitudeFt} />}
      <Guide />
    </Instrument>
  );
}

function NoAltitude() {
  const router = useRouter();
  return (
    <View className="gap-3">
      <AltitudeBands cells={BARE_CELLS} />
      <Words>
        Water boils lower the higher the kitchen is: about 1 F less for each 500 ft. Without the altitude there is no
        number.
      </Words>
      <Key words="Set the altitude" onPress={() => router.navigate('/bench/household')} />
    </View>
  );
}

function Points({ altitudeFt }: { altitudeFt: number }) {
  const { units } = useHousehold().household;
  const [boils, sets] = [boilingPointF(altitudeFt), jellyPointF(altitudeFt)];
  const [boilWords, setWords] = [temperatureWords(boils, units), temperatureWords(sets, units)];
  return (
    <AnswerPlate
      text={`At ${altitudeWords(altitudeFt, units)} water boils at ${boilWords} and jelly sets at ${setWords}.`}
    >
      <View className="flex-row items-center gap-5">
        <Thermometer boilsF={boils} setsF={sets} />
        <View className="flex-1 gap-3">
          <View>
            <Words size="figure" weight={800}>
              {boilWords}
            </Words>
            <Words>water boils</Words>
          </View>
          <View>
            <Words size="figure" weight={800}>
              {setWords}
            </Words>
            <Words>jelly sets: the boil and 8 F more</Words>
          </View>
          <Words size="label" tone="ink-2">
            Standard atmosphere. Weather moves it by a degree: hold your thermometer in boiling water that day and add 8
            F.
          </Words>
        </View>
      </View>
    </AnswerPlate>
  );
}

const TESTS = [
  {
    name: 'Cold plate',
    steps: [
      'Put a plate into the freezer before you begin.',
      'Take the pot off the heat, a spoonful on the plate, one minute in the freezer.',
      'Push it with a finger: if it wrinkles and the track stays open, it is set. If not, boil five minutes more and try again.',
    ],
  },
  {
    name: 'Sheet from the spoon',
    steps: [
      'Dip a cold metal spoon into the boiling jelly and lift it out of the steam.',
      'Turn it so that the jelly runs off the side: at first it falls in two drops.',
      'When the two drops join and hang as a sheet, it is set.',
    ],
  },
] as const;

function Guide() {
  return (
    <View className="gap-4">
      {TESTS.map(({ name, steps }) => (
        <View key={name} className="gap-1">
          <Heading>{name}</Heading>
          {steps.map((step, i) => (
            <View key={step} className="flex-row gap-3 border-l-4 border-hair pl-3">
              <Words weight={800}>{i + 1}</Words>
              <Words className="flex-1">{step}</Words>
            </View>
          ))}
        </View>
      ))}
      <Words tone="ink-2">The pot is off the heat while you test: jelly that boils on goes past its set.</Words>
    </View>
  );
}
