import { CANNERS } from '@hoddle/core/handbook/canners';
import { altitudeBand } from '@hoddle/core/process/altitudeBand';
import { useRouter } from 'expo-router';
import { type ReactNode } from 'react';
import { Pressable, TextInput, View } from 'react-native';
import { useHouseholdStore } from '@/store/householdStore';
import { useHousehold } from '@/store/useHousehold';
import { AltitudeBands } from '@/ui/AltitudeBands';
import { Choice } from '@/ui/Choice';
import { Key } from '@/ui/Key';
import { Screen } from '@/ui/Screen';
import { useIsWide } from '@/ui/StationBar';
import { Stepper } from '@/ui/Stepper';
import { Heading, Words } from '@/ui/Words';
import { householdFrom, useHouseholdDraft } from './useHouseholdDraft';

/** Altitude and canner, set once; a change counts from the next batch on. */
export function HouseholdScreen() {
  const router = useRouter();
  const wide = useIsWide();
  const { household } = useHousehold();
  const enter = useHouseholdStore((store) => store.enter);
  const { draft, change, chooseKind, altitude } = useHouseholdDraft(household);
  const save = () => {
    if (altitude.kind === 'slip') return;
    const altitudeFt = altitude.kind === 'set' ? altitude.altitudeFt : null;
    enter({ kind: 'household', household: householdFrom(draft, altitudeFt, household) });
    router.navigate('/bench');
  };
  const band = altitude.kind === 'set' ? altitudeBand(altitude.altitudeFt) : undefined;
  return (
    <Screen
      station="bench"
      title="The kitchen"
      backTo="/bench"
      foot={<Key tall words="Save" disabled={altitude.kind === 'slip'} onPress={save} />}
    >
      <View className={wide ? 'flex-row gap-10' : 'gap-6'}>
        <View className={`gap-3 ${wide ? 'flex-1' : ''}`}>
          <Field label="Household">
            <Typed label="Household" value={draft.name} onChange={(name) => change({ name })} />
          </Field>
          <Field label="Altitude of the kitchen">
            <View className="flex-row gap-3">
              <View className="flex-1">
                <Typed
                  label="Altitude of the kitchen"
                  value={draft.altitude}
                  onChange={(typed) => change({ altitude: typed })}
                  numeric
                />
              </View>
              <View className="w-[130px]">
                <Choice
                  label="Feet or metres"
                  value={draft.altitudeUnit}
                  onChoose={(altitudeUnit) => change({ altitudeUnit })}
                  options={[
                    { value: 'ft', words: 'ft' },
                    { value: 'm', words: 'm' },
                  ]}
                />
              </View>
            </View>
          </Field>
          {altitude.kind === 'slip' && (
            <Words role="alert" weight={700}>
              {altitude.sentence}
            </Words>
          )}
          {altitude.kind === 'set' && draft.altitudeUnit === 'm' && (
            <Words>{altitude.altitudeFt.toLocaleString('en-US')} ft, rounded up.</Words>
          )}
          <AltitudeBands chosen={band?.index} />
          <Words tone="ink-2">
            A map with contour lines or the nearest weather station tells it. In doubt take the higher band: longer is
            safe, shorter is not.
          </Words>
        </View>
        <View className={`gap-3 ${wide ? 'flex-1' : ''}`}>
          <Heading>Canner</Heading>
          <Field label="Its name">
            <Typed label="Its name" value={draft.cannerName} onChange={(cannerName) => change({ cannerName })} />
          </Field>
          <View role="radiogroup" aria-label="Kind of canner" className="gap-2">
            {household.canners[0] && (
              <KindRow
                words="as it is now"
                chosen={draft.cannerKind === 'own'}
                onPress={() => chooseKind('own')}
                note={`${household.canners[0].insideDiameterIn} in wide, ${household.canners[0].insideHeightIn} in deep`}
              />
            )}
            {CANNERS.map(({ canner, insideDiameterIn, insideHeightIn }) => (
              <KindRow
                key={canner}
                words={canner}
                note={`${insideDiameterIn} in wide, ${insideHeightIn} in deep`}
                chosen={draft.cannerKind === canner}
                onPress={() => chooseKind(canner)}
              />
            ))}
          </View>
          <Words>What its rack takes:</Words>
          <Stepper
            label="Quarts"
            words={`${draft.quarts} quarts`}
            onLess={draft.quarts > 0 ? () => change({ quarts: draft.quarts - 1 }) : undefined}
            onMore={draft.quarts < 20 ? () => change({ quarts: draft.quarts + 1 }) : undefined}
          />
          <Stepper
            label="Pints"
            words={`${draft.pints} pints`}
            onLess={draft.pints > 0 ? () => change({ pints: draft.pints - 1 }) : undefined}
            onMore={draft.pints < 30 ? () => change({ pints: draft.pints + 1 }) : undefined}
          />
        </View>
      </View>
    </Screen>
  );
}

function Field({ label, children }: { label: string; children: ReactNode }) {
  return (
    <View className="gap-1">
      <Words size="label" weight={600}>
        {label}
      </Words>
      {children}
    </View>
  );
}

function Typed({
  label,
  value,
  onChange,
  numeric,
}: {
  label: string;
  value: string;
  onChange: (typed: string) => void;
  numeric?: boolean;
}) {
  return (
    <TextInput
      aria-label={label}
      value={value}
      onChangeText={onChange}
      inputMode={numeric ? 'decimal' : 'text'}
      autoComplete="off"
      className="min-h-[52px] rounded-key border-2 border-key-edge bg-plate px-3 font-bold text-lead text-ink"
    />
  );
}

function KindRow({
  words,
  note,
  chosen,
  onPress,
}: {
  words: string;
  note: string;
  chosen: boolean;
  onPress: () => void;
}) {
  return (
    <Pressable
      role="radio"
      aria-checked={chosen}
      onPress={onPress}
      className={`min-h-[52px] justify-center rounded-key px-3 py-1 ${chosen ? 'bg-plate' : ''}`}
      style={{ boxShadow: chosen ? 'inset 0 0 0 3px #1D3F8F' : 'inset 0 0 0 2px #6C7A8C' }}
    >
      <Words weight={chosen ? 700 : 500}>{words}</Words>
      <Words size="small" tone="ink-2">
        {note}
      </Words>
    </Pressable>
  );
}
