import { isJarSize, type JarSize, JARS } from '@hoddle/core/handbook/jars';
import { findProduct, type ProductId } from '@hoddle/core/handbook/products';
import { type Forecast } from '@hoddle/core/pantry/forecast';
import { isInSeason } from '@hoddle/core/pantry/nextCrop';
import { placeOf, PLACE_KINDS } from '@hoddle/core/pantry/place';
import { type StockedLot } from '@hoddle/core/pantry/shelf';
import { View } from 'react-native';
import { useHousehold, useNow } from '@/store/useHousehold';
import { monthAndYear } from '@/ui/clockWords';
import { COLOURS, hueOfProduct } from '@/ui/colours';
import { JarDrawing } from '@/ui/JarDrawing';
import { Plate } from '@/ui/Plate';
import { RowLink } from '@/ui/RowLink';
import { Screen } from '@/ui/Screen';
import { Heading, Words } from '@/ui/Words';
import { GoalPart } from './GoalPart';
import { RunOutLine } from './RunOutLine';
import { aboutWhen, keepsWords, lastsWords, rangeWords } from '@/household/pantry/pantryWords';
import { forecastOf, useForecasts, usePantry } from '@/household/pantry/usePantry';

/** One product in one size: how long it lasts, what to put up, and every lot of it with its code. */
export function BoardScreen({ product, jar, place }: { product: string; jar: string; place: string }) {
  const now = useNow(60_000);
  const { stocked } = usePantry();
  const forecasts = useForecasts(now);
  const row = findProduct(product);
  if (!row || !isJarSize(jar)) {
    return (
      <Screen station="shelf" title="No such board" backTo="/shelf">
        <Words>There is no product of this name in the handbook.</Words>
      </Screen>
    );
  }
  const kind = PLACE_KINDS.find((each) => each === place) ?? 'shelf';
  const own = stocked.filter((lot) => lot.product === product && lot.jar === jar);
  const forecast = forecastOf(forecasts, { product: product as ProductId, jar });
  const here = own.reduce((sum, { jars }) => sum + jars, 0);
  return (
    <Screen
      station="shelf"
      title={row.name}
      note={here === 0 ? `no ${JARS[jar].several} here` : `${here} ${here === 1 ? JARS[jar].one : JARS[jar].several}`}
      backTo="/shelf"
    >
      <View className="max-w-[640px] gap-4">
        {forecast && kind !== 'aside' && <Lasts forecast={forecast} now={now} />}
        <GoalPart product={product as ProductId} jar={jar} forecast={forecast} />
        {own.length > 0 && <Lots lots={own} now={now} jar={jar} />}
      </View>
    </Screen>
  );
}

function Lasts({ forecast, now }: { forecast: Forecast; now: number }) {
  const { at, short, jar, nextCropAt, perMonth, tooMany, jars } = forecast;
  const { plantings } = useHousehold();
  const inSeason = isInSeason(forecast.product, plantings, now);
  const rate = perMonth >= 10 ? Math.round(perMonth) : Math.round(perMonth * 10) / 10;
  return (
    <Plate className="gap-2">
      {jars > 0 && (
        <>
          <Heading>{lastsWords(at, now).replace(/^e/, 'E')}</Heading>
          <RunOutLine forecast={forecast} now={now} />
          <Words>
            8 in 10: {rangeWords(at, now)}
            {nextCropAt !== undefined &&
              `; ${inSeason ? 'this crop is on, the next' : 'next crop'} ${aboutWhen(nextCropAt, now)}`}
            .
          </Words>
        </>
      )}
      {nextCropAt !== undefined && short.p50 >= 1 && (
        <Words weight={700}>
          Short {Math.round(short.p50)} {JARS[jar].several} until then
          {short.p90 > short.p10 && ` (${Math.round(short.p10)} to ${Math.round(short.p90)})`}.
        </Words>
      )}
      {tooMany.p50 >= 1 && (
        <Words weight={700}>
          {Math.round(tooMany.p50)} more than you eat while they are at their best: give some away.
        </Words>
      )}
      <Words tone="ink-2">
        About {rate} a month, from what was taken and from what you said; more in winter unless your shelf says
        otherwise.
      </Words>
    </Plate>
  );
}

function Lots({ lots, now, jar }: { lots: readonly StockedLot[]; now: number; jar: JarSize }) {
  const { codeOf } = usePantry();
  const { household } = useHousehold();
  return (
    <View>
      <Heading>In the order to take them</Heading>
      {[...lots]
        .sort(
          (a, b) => Number(a.placeKind === 'aside') - Number(b.placeKind === 'aside') || a.keepsUntil - b.keepsUntil,
        )
        .map((lot) => (
          <RowLink
            key={lot.id}
            href={{ pathname: '/shelf/lot/[lotId]', params: { lotId: lot.id } }}
            className="min-h-[64px] flex-row items-center gap-3 border-b border-hair py-2"
          >
            <JarDrawing size={jar} quartPx={44} look="here" {...hueOfProduct(lot.product)} />
            <View className="flex-1">
              <Words weight={700}>
                {lot.jars} made {monthAndYear(lot.madeAt)}
                {lot.seal !== 'sealed' && `, ${lot.seal === 'cold' ? 'kept cold' : lot.seal}`}
              </Words>
              <Words size="label" tone="ink-2">
                {placeOf(household.places, lot.place).name}, {keepsWords(lot, now)}
              </Words>
            </View>
            <View className="rounded-chip px-2 py-1" style={{ boxShadow: `inset 0 0 0 2px ${COLOURS.ink}` }}>
              <Words weight={800} aria-label={`code ${codeOf(lot)}`}>
                {codeOf(lot)}
              </Words>
            </View>
          </RowLink>
        ))}
    </View>
  );
}
