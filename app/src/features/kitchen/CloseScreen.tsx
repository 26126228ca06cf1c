import { type Batch, nameOf } from '@hoddle/core/day/batch';
import { dayClose, handsTold } from '@hoddle/core/kitchen/dayClose';
import { missed } from '@hoddle/core/kitchen/alarms';
import { needsHands } from '@hoddle/core/day/restOfDay';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { phaseWords } from '@/household/day/phaseWords';
import { type Day } from '@hoddle/core/kitchen/dayInHand';
import { useDay } from '@/household/day/useDay';
import { useUnwritten } from '@/household/harvest/BatchesToWrite';
import { useHousehold } from '@/store/useHousehold';
import { useMassWords } from '@/store/useUnits';
import { KG_PER_LB } from '@hoddle/core/measure/amount';
import { clockTime, clockTimeFrom, duration } from '@/ui/clockWords';
import { Words } from '@/ui/Words';
import { alarmWords } from './alarmWords';
import { KitchenFrame } from './KitchenFrame';
import { JarsSomewhere, loadsOf } from './JarsSomewhere';
import { KitchenKey } from '@/ui/KitchenKey';
import { PassedOver } from './PassedOver';
import { useAlarms } from './useAlarms';
import { useTellDay } from '@/household/kitchen/useTellDay';

const MINUTE_MS = 60_000;

/** The day is over: planned and real, calls that nobody answered, and what is still to be written down. */
export function CloseScreen() {
  const day = useDay();
  const back = { words: 'To all canners', to: '/kitchen' } as const;
  return (
    <KitchenFrame back={back}>
      {day ? (
        <Closing day={day} />
      ) : (
        <Words size="head" weight={700} tone="milk" className="px-4">
          No day is open.
        </Words>
      )}
    </KitchenFrame>
  );
}

function Closing({ day }: { day: Day }) {
  const router = useRouter();
  const tell = useTellDay(day.id);
  const mass = useMassWords();
  const { canners, units } = useHousehold().household;
  const { alarms, now } = useAlarms();
  const toWrite = useUnwritten().filter(({ id }) => day.batches.some((batch) => batch.id === id));
  const states = new Map([...(day.live?.running.loads ?? [])].map(([id, { state }]) => [id, state]));
  const tasks = (day.live?.running.tasks ?? []).filter(needsHands).map(({ id }) => id);
  const hosts = day.batches.map((batch) => ({ ...batch, loads: batch.loads.filter(({ withLoadId }) => !withLoadId) }));
  const close = dayClose(hosts, states, handsTold(tasks, day.state));
  const cannerName = (id: string) => canners.find((canner) => canner.id === id)?.name ?? 'canner';
  const numberOf = (id: string) => day.loads.findIndex((load) => load.id === id) + 1;
  const { aim, closedAt } = day.state;
  const late = missed(alarms, now);
  return (
    <View className="w-full max-w-[720px] gap-4 px-4 pb-8">
      <Words size="head" weight={800} tone="milk">
        {closedAt === undefined ? 'Is the day over?' : `Closed at ${clockTime(closedAt)}`}
      </Words>
      {close.kind === 'open' && (
        <View role="alert" className="gap-1">
          {close.inCanner.map((id) => {
            const load = day.loads.find((own) => own.id === id);
            return (
              <Words key={id} size="lead" weight={700} tone="milk">
                Load {numberOf(id)} is still in {cannerName(load?.cannerId ?? '')}:{' '}
                {load ? phaseWords(load.phase, load.batch.method).toLowerCase() : ''}.
              </Words>
            );
          })}
          {close.notIn.length > 0 && (
            <Words size="lead" weight={700} tone="milk">
              Not in yet:{' '}
              {`load ${close.notIn
                .map(numberOf)
                .sort((a, b) => a - b)
                .join(', ')}`}
              . Drop what will not be done, or do it.
            </Words>
          )}
        </View>
      )}
      {close.kind === 'done' && (
        <View role="table" aria-label="Planned and real" className="gap-1">
          <Row what="" planned="planned" real="real" />
          <Row
            what="Jars"
            planned={aim && String(aim.jars)}
            real={`${close.real.jars}${close.broken > 0 ? `, ${close.broken} broke` : ''}`}
          />
          <Row
            what="Produce"
            planned={aim && mass(aim.pounds * KG_PER_LB)}
            real={mass(close.real.pounds * KG_PER_LB)}
          />
          <Row
            what="Hands"
            planned={aim && duration(aim.handsMin * MINUTE_MS)}
            real={close.real.handsMin > 0 ? duration(close.real.handsMin * MINUTE_MS) : 'not timed'}
          />
          <Row
            what="Last jar out"
            planned={aim && clockTimeFrom(aim.endAt, day.startAt)}
            real={clockTimeFrom(close.real.endAt, day.startAt)}
          />
        </View>
      )}
      <JarsSomewhere day={day} />
      {day.loads.map(({ id }) => (
        <PassedOver key={id} day={day} loadId={id} />
      ))}
      {late.length > 0 && (
        <View role="list" aria-label="Calls that were missed" className="gap-1">
          <Words size="lead" weight={700} tone="milk">
            Answered late, or not at all
          </Words>
          {late.slice(0, 8).map((alarm) => (
            <Words key={alarm.id} role="listitem" size="lead" tone="milk">
              {clockTime(alarm.dueAt)} {alarmWords(alarm, day, { cannerName, units })},{' '}
              {alarm.answeredAt === undefined ? 'still calls' : `${duration(alarm.answeredAt - alarm.dueAt)} late`}
            </Words>
          ))}
        </View>
      )}
      {closedAt === undefined && (
        <KitchenKey
          look="milk"
          words="Close the day"
          disabled={close.kind === 'open'}
          onPress={() => day.dates.forEach((date) => tell({ type: 'day-closed' }, date))}
        />
      )}
      {toWrite.map((batch) => (
        <KitchenKey
          key={batch.id}
          look="outline"
          words={`Write down ${nameOf(batch).toLowerCase()}${hasTwin(batch, day) ? `, ${loadsOf(batch, day)}` : ''}`}
          onPress={() => router.navigate({ pathname: '/harvest/batch', params: { batch: batch.id } })}
        />
      ))}
      <KitchenKey look="outline" words="To Today" onPress={() => router.navigate('/')} />
    </View>
  );
}

/** Two batches of one product on a day are told apart by their loads. */
function hasTwin(batch: Batch, day: Day): boolean {
  return day.batches.some((other) => other !== batch && nameOf(other) === nameOf(batch));
}

function Row({ what, planned, real }: { what: string; planned?: string; real: string }) {
  return (
    <View role="row" className="min-h-[48px] flex-row items-center border-t-2 border-granite-line">
      <Words role="rowheader" size="lead" weight={700} tone="milk" className="flex-1">
        {what}
      </Words>
      <Words role="cell" size="lead" tone="milk-2" className="w-[110px] text-right">
        {planned ?? '-'}
      </Words>
      <Words role="cell" size="lead" weight={800} tone="milk" className="w-[150px] text-right">
        {real}
      </Words>
    </View>
  );
}
