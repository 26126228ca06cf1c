import { ALTITUDE_BANDS } from '@hoddle/core/process/altitudeBand';
import { type BandMinutes } from '@hoddle/core/handbook/boilingWater';
import { View } from 'react-native';
import { COLOURS } from './colours';
import { Words } from './Words';

const FOOT_WORDS = ['to 1,000', 'to 3,000', 'to 6,000', 'above'] as const;
const HEIGHTS = [26, 36, 46, 56] as const;

interface AltitudeBandsProps {
  minutes?: BandMinutes;
  /** The household's band; without one all four stand open. */
  chosen?: number;
  chosenWords?: string;
}

/** The four altitude bands as steps, the household's own filled, each with its tested minutes. */
export function AltitudeBands({ minutes, chosen, chosenWords }: AltitudeBandsProps) {
  const label = ALTITUDE_BANDS.map(
    (band) => `${band.words}${minutes ? `: ${minutes[band.index]} min` : ''}${band.index === chosen ? ', yours' : ''}`,
  ).join('; ');
  return (
    <View role="img" aria-label={`Altitude bands: ${label}`} className="flex-1">
      <View className="flex-row items-end gap-[6px]">
        {ALTITUDE_BANDS.map((band) => {
          const on = band.index === chosen;
          return (
            <View key={band.index} className="flex-1 items-center">
              {on && chosenWords && (
                <Words size="small" weight={700} tone="cobalt" numberOfLines={1}>
                  {chosenWords}
                </Words>
              )}
              <View
                className="w-full items-center justify-center rounded"
                style={{
                  height: HEIGHTS[band.index],
                  backgroundColor: on ? COLOURS.ink : 'transparent',
                  boxShadow: on ? undefined : `inset 0 0 0 1.5px ${COLOURS.edge}`,
                }}
              >
                {minutes && (
                  <Words size="body" weight={on ? 800 : 500} tone={on ? 'white' : 'ink-2'}>
                    {minutes[band.index]}
                  </Words>
                )}
              </View>
              <Words size="note" weight={on ? 700 : 400} tone={on ? 'ink' : 'ink-2'} numberOfLines={1}>
                {FOOT_WORDS[band.index]}
              </Words>
            </View>
          );
        })}
      </View>
    </View>
  );
}
