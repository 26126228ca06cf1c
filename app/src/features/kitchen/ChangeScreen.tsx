import { inZone, momentInZone } from '@/store/householdZone';
import { type Batch, type PlannedLoad, jarCounts, ofLoad } from '@hoddle/core/day/batch';
import { JARS, type JarSize } from '@hoddle/core/handbook/jars';
import { IN_CANNER } from '@hoddle/core/kitchen/dayClose';
import { type DayChange, withChange } from '@hoddle/core/kitchen/dayChange';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { type Day, type LiveDay } from '@hoddle/core/kitchen/dayInHand';
import { useDay } from '@/household/day/useDay';
import { useHousehold, useNow } from '@/store/useHousehold';
import { clockTime, isoDay, minuteOfDay } from '@/ui/clockWords';
import { Words } from '@/ui/Words';
import { BecomesPart } from './BecomesPart';
import { KitchenFrame } from './KitchenFrame';
import { KitchenKey } from '@/ui/KitchenKey';
import { LoadsChange } from './LoadsChange';
import { OfferPart } from './OfferPart';
import { potName, PotsPart } from './PotsPart';

/** Something came in between: what it does to the rest of the day is shown first, and can be refused. */
export function ChangeScreen() {
  const day = useDay();
  const router = useRouter();
  const back = { words: 'To all canners', to: '/kitchen' } as const;
  if (!day?.live) {
    return (
      <KitchenFrame back={back}>
        <Words size="head" weight={700} tone="milk" className="px-4">
          The day has not begun: change its plan instead.
        </Words>
      </KitchenFrame>
    );
  }
  return (
    <KitchenFrame back={back} likelyAt={day.likelyAt} lateAt={day.lateAt}>
      <Changes day={day} live={day.live} onEnd={() => router.navigate('/kitchen')} />
    </KitchenFrame>
  );
}

interface Chosen {
  readonly change: DayChange;
  readonly words: string;
}

function Changes({ day, live, onEnd }: { day: Day; live: LiveDay; onEnd: () => void }) {
  const router = useRouter();
  const { household } = useHousehold();
  const now = useNow(60_000);
  const [chosen, setChosen] = useState<Chosen>();
  const [open, setOpen] = useState<{ id: string; jar: JarSize }>();
  const [other, setOther] = useState<string>();
  const { cooks } = household.kitchen;
  const choose = (words: string, change: DayChange) => setChosen({ words, change });
  if (chosen) {
    return (
      <OfferPart
        day={day}
        live={live}
        words={chosen.words}
        change={chosen.change}
        asked={withChange(live.rest, chosen.change, cooks)}
        onRefuse={() => setChosen(undefined)}
        onTaken={onEnd}
      />
    );
  }
  const later = (batch: Batch) => batch.loads.filter((load) => isLater(load, day));
  const becoming = day.batches.find(({ id }) => id === other);
  if (becoming) {
    return (
      <BecomesPart
        day={day}
        live={live}
        batch={becoming}
        onChoose={(words, change) => {
          setOther(undefined);
          choose(words, change);
        }}
        onBack={() => setOther(undefined)}
      />
    );
  }
  if (open) {
    const batch = day.batches.find(({ id }) => id === open.id);
    if (!batch) return null;
    const isOpen = (load: PlannedLoad) => ofLoad(batch, load).jar === open.jar;
    const [first] = later(batch).filter(isOpen);
    return (
      <LoadsChange
        batch={first ? ofLoad(batch, first) : batch}
        day={day}
        later={later(batch).filter(isOpen)}
        onDone={(loads, words) => {
          setOpen(undefined);
          const others = later(batch).filter((load) => !isOpen(load));
          choose(words, { kind: 'loads', batchId: batch.id, loads: [...loads, ...others] });
        }}
        onBack={() => setOpen(undefined)}
      />
    );
  }
  const used = household.canners.filter(({ id }) => day.loads.some(({ cannerId }) => cannerId === id));
  return (
    <View className="w-full max-w-[640px] gap-3 px-4 pb-8">
      <Words size="head" weight={700} tone="milk">
        What changed?
      </Words>
      <Words size="lead" tone="milk-2">
        Late or early needs no telling: the day moves with what is tapped.
      </Words>
      {cooks.map(({ name }) =>
        day.state.away.includes(name) || day.state.outings.some(({ cook, until }) => cook === name && until > now) ? (
          <KitchenKey
            key={name}
            look="outline"
            words={`${name} is back`}
            onPress={() => choose(`${name} is back`, { kind: 'cook-back', cook: name })}
          />
        ) : (
          <LeavesPart
            key={name}
            cook={name}
            now={now}
            goesOn={isoDay(day.likelyAt ?? now) > isoDay(now)}
            onChoose={choose}
          />
        ),
      )}
      {day.loads
        .filter(({ phase }) => IN_CANNER.includes(phase) || phase === 'cooling')
        .map(({ id }) => (
          <KitchenKey
            key={`jar ${id}`}
            look="outline"
            words={`A jar broke: load ${day.loads.findIndex((load) => load.id === id) + 1}`}
            onPress={() => router.navigate({ pathname: '/kitchen/[loadId]', params: { loadId: id } })}
          />
        ))}
      {day.batches
        .filter(({ from, againOf }) => !from && againOf === undefined)
        .map((batch) => (
          <KitchenKey
            key={`left ${batch.id}`}
            look="outline"
            words={`Something is left over: ${potName(batch, day.batches)}`}
            onPress={() => router.navigate({ pathname: '/harvest/left', params: { batch: batch.id } })}
          />
        ))}
      <PotsPart day={day} live={live} onChoose={choose} onOther={setOther} />
      {used.map(({ id, name }) => (
        <KitchenKey
          key={id}
          look="outline"
          words={`${name} cannot be used`}
          onPress={() => choose(`Without ${name}`, { kind: 'canner-out', cannerId: id })}
        />
      ))}
      {household.canners
        .filter(({ id }) => day.state.cannersOut.includes(id))
        .map(({ id, name }) => (
          <KitchenKey
            key={id}
            look="outline"
            words={`${name} can be used again`}
            onPress={() => choose(`With ${name}`, { kind: 'canner-back', cannerId: id })}
          />
        ))}
      {day.batches
        .filter((batch) => later(batch).length > 0)
        .map((batch) => {
          const name = potName(batch, day.batches);
          return (
            <View key={batch.id} className="gap-3">
              {jarCounts({ jar: batch.jar, loads: later(batch) }).map(({ jar }, _, all) => (
                <KitchenKey
                  key={jar}
                  look="outline"
                  words={`More or fewer ${all.length > 1 ? JARS[jar].several : 'jars'}: ${name}`}
                  onPress={() => setOpen({ id: batch.id, jar })}
                />
              ))}
              <KitchenKey
                look="outline"
                words={`Drop ${name}`}
                onPress={() => choose(`Without ${name}`, { kind: 'loads', batchId: batch.id, loads: [] })}
              />
            </View>
          );
        })}
    </View>
  );
}

/** Hours that an errand takes. */
const ERRAND_HOURS = [1, 2, 3] as const;

/** A cook leaves: for an errand, until then, or for the rest of the day. */
function LeavesPart({
  cook,
  now,
  goesOn,
  onChoose,
}: {
  cook: string;
  now: number;
  /** The plan goes on tomorrow, when everybody is back. */
  goesOn: boolean;
  onChoose: (words: string, change: DayChange) => void;
}) {
  const [isAsked, setAsked] = useState(false);
  if (!isAsked) return <KitchenKey look="outline" words={`${cook} has to go`} onPress={() => setAsked(true)} />;
  const fromMin = minuteOfDay(now);
  return (
    <View role="group" aria-label={`Until when is ${cook} gone`} className="gap-2">
      <Words size="lead" weight={700} tone="milk">
        Until when is {cook} gone?
      </Words>
      {ERRAND_HOURS.filter((hours) => fromMin + 60 * hours < 24 * 60).map((hours) => {
        const at = now + hours * 60 * 60_000;
        const until = { fromMin, toMin: fromMin + 60 * hours, at, weekday: inZone(now).getDay() };
        return (
          <KitchenKey
            key={hours}
            look="outline"
            words={`Back at ${clockTime(at)}`}
            onPress={() => onChoose(`${cook} is gone until ${clockTime(at)}`, { kind: 'cook-away', cook, until })}
          />
        );
      })}
      <KitchenKey
        look="outline"
        words="For the rest of the day"
        onPress={() =>
          onChoose(`Without ${cook}${goesOn ? ' today' : ''}`, {
            kind: 'cook-away',
            cook,
            ...(goesOn && { until: untilNight(now) }),
          })
        }
      />
    </View>
  );
}

/** From now to the last minute of today. */
function untilNight(now: number) {
  const today = inZone(now);
  const toMin = 24 * 60 - 1;
  const at = momentInZone(today.getFullYear(), today.getMonth(), today.getDate(), toMin);
  return { fromMin: minuteOfDay(now), toMin, at, weekday: today.getDay() };
}

/** Only what has not gone into a canner can be changed. */
export function isLater({ id, withLoadId }: PlannedLoad, day: Day): boolean {
  return day.loads.some((load) => load.id === (withLoadId ?? id) && load.phase === 'planned');
}
