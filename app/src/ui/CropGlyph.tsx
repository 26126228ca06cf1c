import { type ProduceId } from '@hoddle/core/handbook/produce';
import { memo } from 'react';
import Svg, { Circle, Ellipse, Path } from 'react-native-svg';
import { COLOURS, hueOfCrop } from './colours';

const INK = {
  stroke: COLOURS.ink,
  strokeWidth: 2,
  strokeLinecap: 'round',
  strokeLinejoin: 'round',
  fill: 'none',
} as const;
const SHINE = {
  stroke: COLOURS.white,
  strokeOpacity: 0.75,
  strokeWidth: 1.5,
  fill: 'none',
  strokeLinecap: 'round',
} as const;

/** A crop as a small picture: its hue, and a shape of its own. */
export const CropGlyph = memo(function CropGlyph({ crop, size = 34 }: { crop: ProduceId; size?: number }) {
  return (
    <Svg width={size} height={size} viewBox="0 0 32 32" aria-hidden>
      <Figure crop={crop} hue={hueOfCrop(crop).hue} />
    </Svg>
  );
});

function Figure({ crop, hue }: { crop: ProduceId; hue: string }) {
  switch (crop) {
    case 'tomato-paste':
      return (
        <>
          <Path
            d="M15 9C20 7.500 24 10 24.500 15C25 22 21 30.500 16 30.500C11 30.500 7 23 7.500 16C7.800 11.500 10.500 9 15 9Z"
            fill={hue}
            transform="rotate(12 16 18)"
          />
          <Path d="M12 17Q11.500 22 14 26" {...SHINE} />
          <Path
            d="M17 9.500V4M17 9.500L10.500 9.500M17 9.500L23.500 11.500M17 9.500L12.500 5.500M17 9.500L22 6.500"
            {...INK}
          />
        </>
      );
    case 'tomato-slicing':
      return (
        <>
          <Ellipse cx={16} cy={20} rx={12} ry={10} fill={hue} />
          <Path d="M8.500 20Q9 25 13 27" {...SHINE} />
          <Path d="M16 10.500V5.500M16 10.500L10 12M16 10.500L22 12" {...INK} />
        </>
      );
    case 'damson':
    case 'plum':
      return (
        <>
          <Ellipse cx={10.5} cy={22} rx={8} ry={8.6} fill={hue} />
          <Ellipse cx={22} cy={21.5} rx={8} ry={8.6} fill={hue} stroke={COLOURS.plate} strokeWidth={1.4} />
          <Path d="M25.500 15.500Q27.500 21 24.500 27" {...SHINE} />
          <Path d="M10.500 14Q12 7 17 3.500Q20 8 21.500 13" {...INK} />
        </>
      );
    case 'bean-snap':
      return (
        <>
          {[11, 20, 29].map((y) => (
            <Path
              key={y}
              d={`M3 ${y}Q13 ${y - 9} 29 ${y - 3}`}
              stroke={hue}
              strokeWidth={5}
              fill="none"
              strokeLinecap="round"
            />
          ))}
          {[10, 19, 28].map((y) => (
            <Path key={y} d={`M6 ${y}Q14 ${y - 5.5} 25 ${y - 2.5}`} {...SHINE} strokeDasharray="2.4 2.4" />
          ))}
        </>
      );
    case 'rhubarb':
      return (
        <>
          <Path d="M8 30L13 12M16 30V11M24 30L19 12" stroke={hue} strokeWidth={4.4} fill="none" strokeLinecap="round" />
          <Path d="M5 11Q10 1 16 6Q22 1 27 11Q16 14 5 11Z" fill="#2F6B33" />
        </>
      );
    case 'cherry-sour':
      return (
        <>
          <Circle cx={9.5} cy={23} r={7} fill={hue} />
          <Circle cx={23} cy={24} r={7} fill={hue} />
          <Path d="M10 16Q13 8 21 3.500Q23 11 23 17" {...INK} />
          <Path d="M5.500 22Q6 19.500 8 18.500M19 23Q19.500 20.500 21.500 19.500" {...SHINE} />
        </>
      );
    case 'beet':
      return (
        <>
          <Path d="M16 31Q15 28 10 26C3 23 4 13 16 13C28 13 29 23 22 26Q17 28 16 31Z" fill={hue} />
          <Path d="M16 13V4M16 13Q10 10 9 4M16 13Q22 10 23 4" {...INK} stroke="#2F6B33" strokeWidth={2.4} />
        </>
      );
    case 'gooseberry':
    case 'tomatillo':
      return (
        <>
          <Path
            d="M16 6.500C24 8 28.500 15 26 22.500C24 28 20 30 16 30.500C12 30 8 28 6 22.500C3.500 15 8 8 16 6.500Z"
            fill={hue}
          />
          <Path d="M16 7V30M15 7.500C9.500 13 9 21 12 28.500M17 7.500C22.500 13 23 21 20 28.500" {...SHINE} />
          <Path d="M16 7V3" {...INK} />
        </>
      );
    case 'apple':
    case 'quince':
      return (
        <>
          <Path
            d="M16 11C21 7 29 10 28 18C27 26 22 31 18.500 30.300Q16 29.500 13.500 30.300C10 31 5 26 4 18C3 10 11 7 16 11Z"
            fill={hue}
          />
          <Path d="M8 16Q8 21 11 25" {...SHINE} />
          <Path d="M16 11Q16 6 19 3.500" {...INK} />
        </>
      );
    case 'pear':
    case 'fig':
      return (
        <>
          <Path d="M16 6C20 6 20 12 22 15C26 20 24 30 16 30.500C8 30 6 20 10 15C12 12 12 6 16 6Z" fill={hue} />
          <Path d="M11 20Q10.500 24 13 27" {...SHINE} />
          <Path d="M16 6.500Q16 3.500 18 2" {...INK} />
        </>
      );
    case 'peach':
    case 'apricot':
      return (
        <>
          <Circle cx={16} cy={19} r={11.5} fill={hue} />
          <Path d="M16 8Q11 17 15 29" {...SHINE} />
          <Path d="M16 8V4M16 6Q21 2 26 5Q22 9 16 7" {...INK} />
        </>
      );
    case 'cherry-sweet':
      return (
        <>
          <Circle cx={16} cy={22} r={9} fill={hue} />
          <Path d="M11 20Q11.500 17.500 14 16.500" {...SHINE} />
          <Path d="M16 13.500Q17 7 23 3" {...INK} />
        </>
      );
    case 'strawberry':
      return (
        <>
          <Path d="M16 9C22 7 28 10 26.500 17C25 24 20 30 16 31C12 30 7 24 5.500 17C4 10 10 7 16 9Z" fill={hue} />
          <Path d="M11 15h.1M20 15h.1M15.500 20h.1M11 23h.1M20 23h.1" {...SHINE} strokeWidth={2.4} />
          <Path d="M16 9V4M16 9L9 7M16 9L23 7" {...INK} />
        </>
      );
    case 'grape':
    case 'currant':
    case 'blackberry':
    case 'raspberry':
    case 'blueberry':
      return (
        <>
          {CLUSTER.map(([x, y]) => (
            <Circle key={`${x} ${y}`} cx={x} cy={y} r={4.6} fill={hue} stroke={COLOURS.plate} strokeWidth={1.2} />
          ))}
          <Path d="M16 8V3M16 5Q20 2 24 4" {...INK} />
        </>
      );
    case 'pepper-sweet':
      return (
        <>
          <Path
            d="M7 13C7 8 13 9 16 11C19 9 25 8 25 13C26 20 24 30 20 30Q18 31 16 29Q14 31 12 30C8 30 6 20 7 13Z"
            fill={hue}
          />
          <Path d="M11 15Q10 21 12 26" {...SHINE} />
          <Path d="M16 11Q15 6 18 3" {...INK} />
        </>
      );
    case 'pepper-hot':
    case 'carrot':
      return (
        <>
          <Path d="M23 9C27 12 20 27 5 29C14 24 14 12 23 9Z" fill={hue} />
          <Path d="M19 16Q16 22 12 25" {...SHINE} />
          <Path d="M23 10L28 4M23 10L24 3.500" {...INK} />
        </>
      );
    case 'cucumber-pickling':
      return (
        <>
          <Path d="M4 25C3 18 17 5 25 6C30 8 28 15 20 22C12 29 5 30 4 25Z" fill={hue} />
          <Path d="M9 24L21 11M14 25L24 14" {...SHINE} strokeDasharray="1 3" />
        </>
      );
    case 'corn-sweet':
      return (
        <>
          <Path d="M16 3C22 8 22 22 16 28C10 22 10 8 16 3Z" fill={hue} />
          <Path d="M16 5V26M13 8V24M19 8V24" {...SHINE} strokeDasharray="2 2" />
          <Path d="M16 31C10 29 6 22 7 14M16 31C22 29 26 22 25 14" {...INK} stroke="#2F6B33" strokeWidth={3} />
        </>
      );
    case 'garlic':
      return (
        <>
          <Path d="M16 6C17 12 27 14 26 23C25 29 20 30.500 16 30.500C12 30.500 7 29 6 23C5 14 15 12 16 6Z" fill={hue} />
          <Path d="M16 12V29M12 15Q9 21 12 29M20 15Q23 21 20 29" {...SHINE} />
          <Path d="M16 7V2" {...INK} />
        </>
      );
    case 'dill':
      return (
        <>
          <Path d="M16 31V12M16 20L9 14M16 20L23 14" {...INK} stroke={hue} />
          <Path d="M16 12L5 8M16 12L10 4M16 12V2M16 12L22 4M16 12L27 8" {...INK} stroke={hue} strokeWidth={1.6} />
          {[5, 10, 16, 22, 27].map((x) => (
            <Circle key={x} cx={x} cy={x === 16 ? 3 : x === 10 || x === 22 ? 4.5 : 8} r={2} fill={hue} />
          ))}
        </>
      );
    case 'celery':
      return (
        <>
          <Path d="M9 31V11M16 31V9M23 31V11" stroke={hue} strokeWidth={5} fill="none" strokeLinecap="round" />
          <Path d="M9 28V14M16 28V12M23 28V14" {...SHINE} />
          <Path d="M9 10Q4 8 6 3M16 8Q13 4 16 1Q19 4 16 8M23 10Q28 8 26 3" {...INK} stroke="#2F6B33" />
        </>
      );
    case 'ginger':
      return (
        <>
          <Path
            d="M4 20C4 14 9 15 11 16C10 10 13 6 17 8C19 10 18 14 19 16C22 12 28 12 28 17C28 21 24 21 22 22C22 27 17 30 14 26C11 25 4 26 4 20Z"
            fill={hue}
          />
          <Path d="M9 19Q12 20 13 22M17 13Q15 15 15 18M22 17Q20 18 20 21" {...SHINE} />
        </>
      );
    case 'onion':
      return (
        <>
          <Path d="M16 7C19 11 28 13 27 21C26 28 20 30 16 30C12 30 6 28 5 21C4 13 13 11 16 7Z" fill={hue} />
          <Path d="M16 10Q10 18 13 28M16 10Q22 18 19 28" {...SHINE} />
          <Path d="M16 8V3M12 31H20" {...INK} />
        </>
      );
    case 'cabbage':
    case 'cauliflower':
      return (
        <>
          <Path d="M3 18Q5 7 16 7Q27 7 29 18Q27 30 16 30Q5 30 3 18Z" fill="#4F7A1C" />
          {crop === 'cauliflower' ? (
            <Path
              d="M8 19a4 4 0 0 1 4-6a4.500 4.500 0 0 1 8 0a4 4 0 0 1 4 6Q22 25 16 25Q10 25 8 19Z"
              fill={COLOURS.plate}
            />
          ) : (
            <Path d="M16 9V28M16 16Q10 15 7 20M16 20Q22 18 25 22" {...SHINE} />
          )}
        </>
      );
  }
}

const CLUSTER: readonly [number, number][] = [
  [8.5, 12],
  [16, 12],
  [23.5, 12],
  [12, 18.5],
  [20, 18.5],
  [16, 25],
];
