import Check from 'lucide-react-native/icons/check';
import { View } from 'react-native';
import { useHouseholdStore } from '@/store/householdStore';
import { householdNow, useHousehold } from '@/store/useHousehold';
import { dayWords, isoDay } from '@/ui/clockWords';
import { COLOURS } from '@/ui/colours';
import { SmallKey } from '@/ui/SmallKey';
import { Words } from '@/ui/Words';

/** The household's mark on a row: held against the page, and when. Pressed once it is set, pressed again taken back. */
export function CheckedMark({ rowId }: { rowId: string }) {
  const enter = useHouseholdStore((store) => store.enter);
  const { checkedRows } = useHousehold();
  const mark = checkedRows.find((row) => row.rowId === rowId);
  const set = (checkedOn: string | null) => enter({ kind: 'row-checked', check: { rowId, checkedOn } });
  if (!mark) {
    return (
      <View className="flex-row flex-wrap items-center gap-3">
        <SmallKey words="I checked it" onPress={() => set(isoDay(householdNow()))} />
        <Words size="label" tone="ink-2" className="min-w-[160px] flex-1">
          Nobody here has held it against the page yet.
        </Words>
      </View>
    );
  }
  return (
    <View className="flex-row flex-wrap items-center gap-3">
      <View
        className="h-[34px] w-[34px] items-center justify-center rounded-full"
        style={{ boxShadow: `inset 0 0 0 3px ${COLOURS.ink}` }}
      >
        <Check size={22} color={COLOURS.ink} strokeWidth={3.4} />
      </View>
      <Words weight={700} className="flex-1">
        Checked {dayWords(mark.checkedOn)}
      </Words>
      <SmallKey words="Take the mark back" onPress={() => set(null)} />
    </View>
  );
}
