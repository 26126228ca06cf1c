import { JARS } from '@hoddle/core/handbook/jars';
import { altitudeBand } from '@hoddle/core/process/altitudeBand';
import { coldDaysWords } from '@hoddle/core/process/coldWays';
import { type OwnRecipe } from '@hoddle/core/process/ownRecipe';
import { judgeRecipe } from '@hoddle/core/process/ownShelf';
import { bandsOf } from '@hoddle/core/process/withOwnSource';
import { View } from 'react-native';
import Svg, { Path, Rect } from 'react-native-svg';
import { METHOD_NAMES } from '@/household/process/methodNames';
import { useHousehold } from '@/store/useHousehold';
import { AltitudeBands } from '@/ui/AltitudeBands';
import { COLOURS } from '@/ui/colours';
import { Words } from '@/ui/Words';

/** What a page may become: the shelf by its own tested minutes, or cold by its class. It follows from what goes in. */
export function BecomesPart({ page }: { page: OwnRecipe }) {
  const { altitudeFt } = useHousehold().household;
  const { foods, faults } = judgeRecipe(page);
  const { source } = page;
  const bands = source ? bandsOf(source.method) : [];
  const own = source && altitudeFt !== null ? altitudeBand(altitudeFt, bands).index : undefined;
  const openLines = page.lines.filter(({ open }) => open !== undefined).length;
  const given = (upToFt: number) => source?.bands.find((band) => (band.upToFt ?? Infinity) === upToFt);
  const here = own === undefined ? undefined : given(bands[own]?.upToFt ?? Infinity);
  return (
    <View className="gap-3" role="status" aria-live="polite">
      {source && (
        <View className="gap-1">
          <Words weight={700}>
            Tested: {source.title === '' ? 'which page?' : `${source.title}, p. ${source.page}`}
          </Words>
          {faults?.length === 0 ? (
            <View className="flex-row items-end gap-3">
              <View>
                <Words>
                  <Words size="figure" weight={800}>
                    {here ? here.minutes : own === undefined ? '' : 'no'}
                  </Words>
                  <Words weight={700}> min</Words>
                </Words>
                <Words size="label" tone="ink-2">
                  {JARS[source.jar].several}, {METHOD_NAMES[source.method]}
                  {openLines > 0 ? ', if settled' : ''}
                </Words>
              </View>
              <AltitudeBands
                cells={bands.map((band) => {
                  const cell = given(band.upToFt);
                  return cell
                    ? { band, figure: String(cell.minutes), told: `${cell.minutes} min` }
                    : { band, refused: true };
                })}
                chosen={own}
                chosenWords={
                  altitudeFt === null || bands.length < 2 ? undefined : `${altitudeFt.toLocaleString('en-US')} ft`
                }
              />
            </View>
          ) : (
            (faults ?? []).map(({ reason }) => (
              <Words key={reason} weight={600}>
                Not for the shelf: {reason}
              </Words>
            ))
          )}
        </View>
      )}
      {foods.map(({ card, reason, coldDays, foodClass }) => (
        <View key={card.card} className="flex-row items-center gap-3">
          <ColdSign />
          <View className="flex-1">
            <Words>
              {foods.length > 1 ? `${card.name}: ` : source && faults?.length === 0 ? 'Or ' : 'Without a tested page: '}
              <Words weight={800}>
                refrigerator, {coldDaysWords(coldDays)}
                {foodClass === 'low-acid' || foodClass === 'oil' ? ', or the freezer' : ''}
              </Words>
            </Words>
            <Words size="label" tone="ink-2">
              {reason}
            </Words>
          </View>
        </View>
      ))}
    </View>
  );
}

/** A refrigerator: two doors and their handles. */
export function ColdSign() {
  return (
    <Svg width={30} height={44} viewBox="0 0 30 44" aria-hidden>
      <Rect x={3} y={2} width={24} height={39} rx={3} fill={COLOURS.plate} stroke={COLOURS.ink} strokeWidth={2.4} />
      <Path d="M3 16H27M8 8V11M8 22V28M8 41V43M22 41V43" stroke={COLOURS.ink} strokeWidth={2.4} strokeLinecap="round" />
    </Svg>
  );
}
