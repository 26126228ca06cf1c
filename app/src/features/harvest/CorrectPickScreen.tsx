import { KG_PER_LB } from '@hoddle/core/measure/amount';
import { type Pick as HarvestPick } from '@hoddle/core/harvest/pick';
import { printFraction } from '@hoddle/core/measure/fraction';
import { useRouter } from 'expo-router';
import { useHouseholdStore } from '@/store/householdStore';
import { useHousehold } from '@/store/useHousehold';
import { dayWords, isoDay } from '@/ui/clockWords';
import { Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { PickForm } from './PickForm';
import { type PickDraft } from './usePickEntry';

/** A pick as it was told, to be put right. */
export function CorrectPickScreen({ pickId }: { pickId: string }) {
  const router = useRouter();
  const enter = useHouseholdStore((store) => store.enter);
  const { picks } = useHousehold();
  const refused = useHouseholdStore((store) => store.refused);
  // What the server did not take is put right here, too: it is sent anew then.
  const notTaken = refused.flatMap(({ write }) =>
    (write.kind === 'pick' || write.kind === 'pick-corrected') && write.pick.id === pickId ? [write] : [],
  )[0];
  const pick = picks.find(({ id }) => id === pickId) ?? notTaken?.pick;
  if (!pick) {
    return (
      <Screen station="harvest" title="No such pick" backTo="/harvest">
        <Words>It was struck out.</Words>
      </Screen>
    );
  }
  return (
    <PickForm
      title="Put it right"
      first={draftOf(pick)}
      keyWords="Correct"
      backTo="/harvest"
      onSave={(corrected) => {
        // The day is kept to the hour unless it was changed.
        const sameDay = isoDay(corrected.pickedAt) === isoDay(pick.pickedAt);
        const pickedAt = sameDay ? pick.pickedAt : corrected.pickedAt;
        void enter({ kind: notTaken?.kind ?? 'pick-corrected', pick: { ...corrected, id: pick.id, pickedAt } });
        router.navigate('/harvest');
      }}
    />
  );
}

function draftOf(pick: HarvestPick): PickDraft {
  const allSoft = pick.softKg >= pick.massKg - 1e-6;
  return {
    crop: pick.crop,
    amount: pick.told,
    soft: allSoft || pick.softKg === 0 ? '' : `${printFraction(pick.softKg / KG_PER_LB, 4)} lb`,
    unit: 'lb',
    vessel: '',
    ripeness: allSoft ? 'soft' : pick.ripeness,
    place: pick.place,
    when: 'other',
    day: dayWords(isoDay(pick.pickedAt)),
    source: pick.source,
    plantingId: pick.plantingId,
  };
}
