import { type Kitchen, MOST_BREAKS } from '@hoddle/contract/household';
import { type Errand, errandsOn, repeatedId } from '@hoddle/core/day/errand';
import { errandTaskId } from '@hoddle/core/day/errandTasks';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { v7 as uuidV7 } from 'uuid';
import { useTellDay } from '@/features/kitchen/useTellDay';
import { useHouseholdStore } from '@/store/householdStore';
import { useHousehold } from '@/store/useHousehold';
import { clockTimeFrom, weekday } from '@/ui/clockWords';
import { Key } from '@/ui/Key';
import { Screen } from '@/ui/Screen';
import { TextKey } from '@/ui/TextKey';
import { Heading, Words } from '@/ui/Words';
import { type Day, useDay } from '../useDay';
import { type ErrandDraft, ErrandForm } from './ErrandForm';
import { awayWords, errandName, errandTimeWords, weekdayWords } from './errandWords';
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

type Open = { readonly kind: 'new' } | { readonly kind: 'change'; readonly errand: Errand };

function Life({ day }: { day: Day }) {
  const router = useRouter();
  const tell = useTellDay(day.id);
  const { household } = useHousehold();
  const enter = useHouseholdStore((store) => store.enter);
  const [open, setOpen] = useState<Open>();
  const { setup, weekday: first, errands } = day.question;
  const { cooks } = household.kitchen;
  // What is over before the day begins is nobody's concern.
  const today = errandsOn(setup.cooks, { weekday: first, errands }, 0)
    .filter(({ toMin }) => toMin > day.question.startMinute)
    .sort((a, b) => a.fromMin - b.fromMin);
  const struck = errandsOn(cooks, { weekday: first }, 0).filter(({ id }) =>
    errands?.struck.some((own) => own.id === id),
  );
  const keep = (draft: ErrandDraft, weekdays: readonly number[]) => {
    if (open?.kind === 'change') tell({ type: 'errand-set', errandId: open.errand.id, ...draft });
    else if (weekdays.length === 0) tell({ type: 'errand-set', errandId: uuidV7(), ...draft });
    else {
      const { cook, ...own } = draft;
      const kept = cooks.map((each): Kitchen['cooks'][number] =>
        each.name === cook ? { ...each, breaks: [...each.breaks, { ...own, weekdays: [...weekdays] }] } : each,
      );
      enter({ kind: 'household', household: { ...household, kitchen: { ...household.kitchen, cooks: kept } } });
    }
    setOpen(undefined);
  };
  const repeatedOn = ({ id, cook }: Errand) => {
    const own = cooks.find(({ name }) => name === cook)?.breaks.find((each) => repeatedId(cook, each) === id);
    return own && weekdayWords(own.weekdays);
  };
  return (
    <Screen station="plan" title="Errands and wishes" note={weekday(day.startAt)} backTo="/plan">
      <View className="w-full max-w-[640px] gap-5">
        <View className="gap-2">
          <Heading>To do besides</Heading>
          <View role="list" aria-label="Errands">
            {today.map((errand) => (
              <ErrandRow
                key={errand.id}
                day={day}
                errand={errand}
                repeated={repeatedOn(errand)}
                onChange={() => setOpen({ kind: 'change', errand })}
                onStrike={() => tell({ type: 'errand-struck', errandId: errand.id })}
              />
            ))}
            {struck.map((errand) => (
              <View
                key={errand.id}
                role="listitem"
                className="min-h-[52px] flex-row items-center justify-between gap-2 border-t border-hair"
              >
                <Words tone="ink-2" className="flex-1">
                  Not today: {errandName(errand)}
                </Words>
                <TextKey
                  words="Bring it back"
                  label={`Bring back: ${errandName(errand)}`}
                  onPress={() => {
                    const { id, ...own } = errand;
                    tell({ type: 'errand-set', errandId: id, ...own });
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
              cooks={setup.cooks.map(({ name }) => name)}
              first={open.kind === 'change' ? open.errand : undefined}
              mayRepeat={open.kind === 'new' && cooks.every(({ breaks }) => breaks.length < MOST_BREAKS)}
              onKeep={keep}
              onLeave={() => setOpen(undefined)}
            />
          ) : (
            <Key look="outline" words="Something else to do" onPress={() => setOpen({ kind: 'new' })} />
          )}
        </View>
        <WishesPart day={day} />
        {!day.live && (
          <Key look="outline" words="Two plans side by side" onPress={() => router.navigate('/plan/compare')} />
        )}
      </View>
    </Screen>
  );
}

interface ErrandRowProps {
  day: Day;
  errand: Errand;
  /** "every day", "Sat, Sun"; undefined for one of this day alone. */
  repeated: string | undefined;
  onChange: () => void;
  onStrike: () => void;
}

function ErrandRow({ day, errand, repeated, onChange, onStrike }: ErrandRowProps) {
  const placed = day.tasks.find(({ task }) => task.id === errandTaskId(errand.id, 0));
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
        <TextKey words="Not today" label={`Not today: ${name}`} onPress={onStrike} />
      </View>
    </View>
  );
}
