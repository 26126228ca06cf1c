import { timedUses } from '@hoddle/core/day/timedUses';
import { type LotChange } from '@hoddle/core/harvest/lotChange';
import { type Pick as HarvestPick } from '@hoddle/core/harvest/pick';
import { View } from 'react-native';
import { useHouseholdStore } from '@/store/householdStore';
import { useHousehold } from '@/store/useHousehold';
import { useMassWords } from '@/store/useUnits';
import { clockTime, dayAndDate } from '@/ui/clockWords';
import { RowLink } from '@/ui/RowLink';
import { Heading, Words } from '@/ui/Words';
import { lotName, PLACE_NAMES, PLACE_WORDS } from '@/household/harvest/keepingWords';
import { TextKey } from '@/ui/TextKey';

const LATEST = 6;

const CHANGE_WORDS: Readonly<Record<Exclude<LotChange['kind'], 'moved'>, string>> = {
  eaten: 'eaten fresh',
  'given-away': 'given away',
  fed: 'fed to animals',
  composted: 'composted',
  lost: 'lost',
  softened: 'sorted out as soft',
};

/** What came in and what became of it lately, each to be put right or taken back. */
export function LatelyPart() {
  const { picks, batches, lotChanges } = useHousehold();
  const used = new Set([...timedUses(batches), ...lotChanges].map(({ pickId }) => pickId));
  const latest = [...picks].sort((a, b) => b.pickedAt - a.pickedAt).slice(0, LATEST);
  const oldest = latest.at(-1)?.pickedAt ?? 0;
  const changes = [...lotChanges]
    .filter(({ at }) => at >= oldest)
    .sort((a, b) => b.at - a.at)
    .slice(0, LATEST);
  return (
    <View>
      {latest.length > 0 && <Heading className="pb-1 pt-5">Came in lately</Heading>}
      {latest.map((pick) => (
        <PickRow key={pick.id} pick={pick} isUsed={used.has(pick.id)} />
      ))}
      {changes.length > 0 && <Heading className="pb-1 pt-5">Used or carried lately</Heading>}
      {changes.map((change) => (
        <ChangeRow key={change.id} change={change} pick={picks.find(({ id }) => id === change.pickId)} />
      ))}
    </View>
  );
}

function PickRow({ pick, isUsed }: { pick: HarvestPick; isUsed: boolean }) {
  const enter = useHouseholdStore((store) => store.enter);
  const name = lotName(pick);
  const from = pick.of ? ', left over' : pick.source === 'garden' ? '' : `, ${pick.source}`;
  return (
    <View className="min-h-[56px] flex-row items-center gap-1 border-t border-hair py-1">
      <View className="flex-1">
        <Words weight={600}>
          {pick.told} {name}
        </Words>
        <Words size="small" tone="ink-2">
          {dayAndDate(pick.pickedAt)}, {clockTime(pick.pickedAt)}
          {from}. {PLACE_WORDS[pick.place]}.
        </Words>
      </View>
      {!pick.of && (
        <RowLink
          href={{ pathname: '/harvest/pick/[pickId]', params: { pickId: pick.id } }}
          label={`Correct ${pick.told} ${name}`}
          className="min-h-[48px] items-center justify-center px-2"
        >
          <Words tone="cobalt" weight={700}>
            Correct
          </Words>
        </RowLink>
      )}
      {isUsed ? (
        <Words size="small" tone="ink-2" className="px-2">
          used
        </Words>
      ) : (
        <TextKey
          words="Strike out"
          label={`Strike out ${pick.told} ${name}`}
          onPress={() => enter({ kind: 'pick-struck', pickId: pick.id })}
        />
      )}
    </View>
  );
}

function ChangeRow({ change, pick }: { change: LotChange; pick: HarvestPick | undefined }) {
  const enter = useHouseholdStore((store) => store.enter);
  const mass = useMassWords();
  if (!pick) return null;
  const name = lotName(pick);
  const became =
    change.kind === 'moved' && change.to ? `to the ${PLACE_NAMES[change.to]}` : CHANGE_WORDS[change.kind as 'eaten'];
  return (
    <View className="min-h-[56px] flex-row items-center gap-3 border-t border-hair py-1">
      <View className="flex-1">
        <Words weight={600}>
          {mass(change.massKg)} {name} {became}
        </Words>
        <Words size="small" tone="ink-2">
          {dayAndDate(change.at)}, {clockTime(change.at)}
        </Words>
      </View>
      <TextKey
        words="Take back"
        label={`Take back: ${mass(change.massKg)} ${name} ${became}`}
        onPress={() => enter({ kind: 'lot-change-struck', changeId: change.id })}
      />
    </View>
  );
}
