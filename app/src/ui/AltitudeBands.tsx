import { type AltitudeBand } from '@hoddle/core/process/altitudeBand';
import { View } from 'react-native';
import Svg, { Path } from 'react-native-svg';
import { COLOURS } from './colours';
import { Words } from './Words';

/** One band of a strip: what it says, or that nothing may be done there. */
export interface BandCell {
  readonly band: AltitudeBand;
  /** The figure in the block: minutes, or pounds of pressure. */
  readonly figure?: string;
  /** The same for screen readers, with its unit: "55 min". */
  readonly told?: string;
  readonly refused?: boolean;
}

interface AltitudeBandsProps {
  cells: readonly BandCell[];
  /** Index of the household's band; without one all stand open. */
  chosen?: number;
  chosenWords?: string;
  /** Taller steps, for the one strip a screen is about. */
  large?: boolean;
}

const LOWEST_PX = 26;
const RISE_PX = 10;

/** The altitude bands as steps, the household's own filled, each with its tested figure; a refused one is struck through. */
export function AltitudeBands({ cells, chosen, chosenWords, large }: AltitudeBandsProps) {
  const told = cells.map(({ band, told: words, refused }, i) => {
    const what = refused ? ': not tested' : words ? `: ${words}` : '';
    return `${band.words}${what}${i === chosen ? ', yours' : ''}`;
  });
  return (
    <View role="img" aria-label={`Altitude bands: ${told.join('; ')}`} className="flex-1">
      <View className="flex-row items-end gap-[6px]">
        {cells.map((cell, i) => (
          <Step
            key={cell.band.words}
            cell={cell}
            heightPx={(large ? 12 : 0) + LOWEST_PX + i * RISE_PX}
            on={i === chosen}
            words={i === chosen ? chosenWords : undefined}
            narrow={cells.length > 4}
          />
        ))}
      </View>
    </View>
  );
}

interface StepProps {
  cell: BandCell;
  heightPx: number;
  on: boolean;
  words?: string;
  narrow: boolean;
}

/** The household's altitude may be wider than its step: it stands centred over it, on one line. */
const WORDS_PX = 76;

function Step({ cell: { band, figure, refused }, heightPx, on, words, narrow }: StepProps) {
  return (
    <View className="flex-1 items-center">
      {words !== undefined && (
        <View style={{ width: WORDS_PX, marginHorizontal: -WORDS_PX / 2 }}>
          <Words size="small" weight={700} tone="cobalt" className="text-center" numberOfLines={1}>
            {words}
          </Words>
        </View>
      )}
      <View
        className="w-full items-center justify-center overflow-hidden rounded"
        style={{
          height: heightPx,
          backgroundColor: on ? COLOURS.ink : 'transparent',
          boxShadow: on ? undefined : `inset 0 0 0 1.5px ${COLOURS.edge}`,
        }}
      >
        {refused ? (
          <Svg width="100%" height="100%" viewBox="0 0 40 40" preserveAspectRatio="none" aria-hidden>
            <Path d="M4 36L36 4" stroke={on ? COLOURS.white : COLOURS.ink} strokeWidth={3} strokeLinecap="round" />
          </Svg>
        ) : (
          figure !== undefined && (
            <Words size="body" weight={on ? 800 : 500} tone={on ? 'white' : 'ink-2'}>
              {figure}
            </Words>
          )
        )}
      </View>
      <Words size="note" weight={on ? 700 : 400} tone={on ? 'ink' : 'ink-2'} numberOfLines={1}>
        {footWords(band, narrow)}
      </Words>
    </View>
  );
}

function footWords({ upToFt, aboveFt }: AltitudeBand, narrow: boolean): string {
  if (upToFt !== Infinity) return `${narrow ? '' : 'to '}${upToFt.toLocaleString('en-US')}`;
  return aboveFt === -Infinity ? 'any altitude' : 'above';
}
