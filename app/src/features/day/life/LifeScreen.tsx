import { type Kitchen, MOST_BREAKS } from '@hoddle/contract/household';
import { daysBetween } from '@hoddle/core/day/daysTogether';
import { type Errand, errandsOn, repeatedId } from '@hoddle/core/day/errand';
import { errandTaskId } from '@hoddle/core/day/errandTasks';
import { addDays } from 'date-fns/addDays';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { v7 as uuidV7 } from 'uuid';
import { useTellDay } from '@/household/kitchen/useTellDay';
import { inZone } from '@/store/householdZone';
import { useHouseholdStore } from '@/store/householdStore';
import { useHousehold } from '@/store/useHousehold';
import { clockTimeFrom, isoDay, weekday } from '@/ui/clockWords';
import { Key } from '@/ui/Key';
import { Screen } from '@/ui/Screen';
import { TextKey } from '@/ui/TextKey';
import { Heading, Words } from '@/ui/Words';
import { daysWords } from '@/household/day/finishWords';
import { type Day } from '@hoddle/core/kitchen/dayInHand';
import { useDay } from '@/household/day/useDay';
import { type ErrandDraft, ErrandForm } from './ErrandForm';
import { awayWords, errandName, errandTimeWords, weekdayWords } from '@/household/day/errandWords';
import { WishesPart } from './WishesPart';

const MINUTE_MS = 60_000;

/** What else there is to do on a preserving day, and what is wished of it. */
export function LifeScreen() {
  const day = useDay();
  if (!day) {
    return (
      <Screen station="plan" title="No day planned" backTo="/plan">
        <Words>
          Errands and wishes of a day stand here once something is planned for it. What comes again every week is told
          on the Bench, at the hands.
        </Words>
      </Screen>
    );
  }
  return <Life day={day} />;
}

function Life({ day }: { day: Day }) {
  const router = useRouter();
  const days = daysReached(day);
  return (
    <Screen station="plan" title="Errands and wishes" note={daysWords(day)} backTo="/plan">
      <View className="w-full max-w-[640px] gap-5">
        {Array.from({ length: days }, (_, later) => (
          <DayErrands key={later} day={day} later={later} alone={days === 1} />
        ))}
        <WishesPart day={day} />
        {!day.live && (
          <Key look="outline" words="Two plans side by side" onPress={() => router.navigate('/plan/compare')} />
        )}
      </View>
    </Screen>
  );
}

/** Days from the first one to the last on which something of the plan is done. */
function daysReached({ dates, likelyAt = 0 }: Day): number {
  const first = dates[0] ?? '';
  const last = [dates.at(-1) ?? first, likelyAt === 0 ? first : isoDay(likelyAt)].sort().at(-1) ?? first;
  return daysBetween(first, last) + 1;
}

type Open = { readonly kind: 'new' } | { readonly kind: 'change'; readonly errand: Errand };

/** What else there is to do on one day of the plan. @param later days after the first one */
function DayErrands({ day, later, alone }: { day: Day; later: number; alone: boolean }) {
  const tell = useTellDay(day.id);
  const { household } = useHousehold();
  const enter = useHouseholdStore((store) => store.enter);
  const [open, setOpen] = useState<Open>();
  const { setup, weekday: first, errands } = day.question;
  const { cooks } = household.kitchen;
  const on = later > 0 ? { later } : {};
  // What is over before the day begins is nobody's concern.
  const today = errandsOn(setup.cooks, { weekday: first, errands }, later)
    .filter(({ toMin }) => later > 0 || toMin > day.question.startMinute)
    .sort((a, b) => a.fromMin - b.fromMin);
  const struck = errandsOn(cooks, { weekday: first }, later).filter(({ id }) =>
    errands?.struck.some((own) => own.id === id && (own.day ?? 0) === later),
  );
  const name = weekday(addDays(inZone(day.startAt), later).getTime());
  const keep = (draft: ErrandDraft, weekdays: readonly number[]) => {
    if (open?.kind === 'change') tell({ type: 'errand-set', errandId: open.errand.id, ...draft, ...on });
    else if (weekdays.length === 0) tell({ type: 'errand-set', errandId: uuidV7(), ...draft, ...on });
    else {
      const { cook, ...own } = draft;
      const kept = cooks.map((each): Kitchen['cooks'][number] =>
        each.name === cook ? { ...each, breaks: [...each.breaks, { ...own, weekdays: [...weekdays] }] } : each,
      );
      void enter({ kind: 'household', household: { ...household, kitchen: { ...household.kitchen, cooks: kept } } });
    }
    setOpen(undefined);
  };
  const repeatedOn = ({ id, cook }: Errand) => {
    const own = cooks.find((each) => each.name === cook)?.breaks.find((each) => repeatedId(cook, each) === id);
    return own && weekdayWords(own.weekdays);
  };
  return (
    <View className="gap-2">
      <Heading>{alone ? 'To do besides' : `To do besides on ${name}`}</Heading>
      <View role="list" aria-label={alone ? 'Errands' : `Errands on ${name}`}>
        {today.map((errand) => (
          <ErrandRow
            key={errand.id}
            day={day}
            later={later}
            errand={errand}
            repeated={repeatedOn(errand)}
            onChange={() => setOpen({ kind: 'change', errand })}
            onStrike={() => tell({ type: 'errand-struck', errandId: errand.id, ...on })}
          />
        ))}
        {struck.map((errand) => (
          <View
            key={errand.id}
            role="listitem"
            className="min-h-[52px] flex-row items-center justify-between gap-2 border-t border-hair"
          >
            <Words tone="ink-2" className="flex-1">
              {alone ? 'Not today' : `Not on ${name}`}: {errandName(errand)}
            </Words>
            <TextKey
              words="Bring it back"
              label={`Bring back: ${errandName(errand)}`}
              onPress={() => {
                const { id, ...own } = errand;
                tell({ type: 'errand-set', errandId: id, ...own, ...on });
              }}
            />
          </View>
        ))}
      </View>
      {today.length === 0 && <Words tone="ink-2">Nothing else to do: all hands are for the jars.</Words>}
      {open ? (
        <ErrandForm
          key={open.kind === 'change' ? open.errand.id : 'new'}
          title={open.kind === 'change' ? `${open.errand.words ?? 'Away'}, this day` : 'Something else to do'}
          cooks={setup.cooks.map((cook) => cook.name)}
          first={open.kind === 'change' ? open.errand : undefined}
          mayRepeat={open.kind === 'new' && cooks.every(({ breaks }) => breaks.length < MOST_BREAKS)}
          onKeep={keep}
          onLeave={() => setOpen(undefined)}
        />
      ) : (
        <Key
          look="outline"
          words={alone ? 'Something else to do' : `Something else to do on ${name}`}
          onPress={() => setOpen({ kind: 'new' })}
        />
      )}
    </View>
  );
}

interface ErrandRowProps {
  day: Day;
  later: number;
  errand: Errand;
  /** "every day", "Sat, Sun"; undefined for one of this day alone. */
  repeated: string | undefined;
  onChange: () => void;
  onStrike: () => void;
}

function ErrandRow({ day, later, errand, repeated, onChange, onStrike }: ErrandRowProps) {
  const placed = day.tasks.find(({ task }) => task.id === errandTaskId(errand.id, later));
  const at = placed && clockTimeFrom(day.startAt + placed.startMin * MINUTE_MS, day.startAt);
  const name = errandName(errand);
  return (
    <View role="listitem" className="flex-row items-center gap-2 border-t border-hair py-2">
      <View className="flex-1 gap-1">
        <Words size="lead" weight={700}>
          {name}
        </Words>
        <Words>
          {errandTimeWords(errand)}
          {repeated ? `, ${repeated}` : ''}
        </Words>
        <Words size="label" tone="ink-2">
          {awayWords(errand, day.question.setup.cooks.length)}
        </Words>
        {at !== undefined && <Words weight={700}>In this plan at {at}</Words>}
      </View>
      <View>
        <TextKey words="Change" label={`Change ${name}`} onPress={onChange} />
        <TextKey
          words={later === 0 ? 'Not today' : 'Not then'}
          label={`Not ${later === 0 ? 'today' : 'then'}: ${name}`}
          onPress={onStrike}
        />
      </View>
    </View>
  );
}
