import { Link } from 'expo-router';
import { memo } from 'react';
import { Pressable, useWindowDimensions, View } from 'react-native';
import { StationIcon, type Station } from './StationIcon';
import { Words } from './Words';

const STATIONS: readonly { station: Station; words: string; href: '/' | '/harvest' | '/plan' | '/shelf' | '/bench' }[] =
  [
    { station: 'today', words: 'Today', href: '/' },
    { station: 'harvest', words: 'Harvest', href: '/harvest' },
    { station: 'plan', words: 'Plan', href: '/plan' },
    { station: 'shelf', words: 'Shelf', href: '/shelf' },
    { station: 'bench', words: 'Bench', href: '/bench' },
  ];

/** From this width on the stations stand in a rail at the left instead of along the bottom. */
const RAIL_FROM_PX = 1000;

export function useIsWide(): boolean {
  return useWindowDimensions().width >= RAIL_FROM_PX;
}

/** The five stations: a bar along the bottom, or a rail on a wide screen. */
export const StationBar = memo(function StationBar({ at }: { at: Station }) {
  const wide = useIsWide();
  return (
    <View
      role="navigation"
      aria-label="Stations"
      className={wide ? 'w-[96px] bg-plate pt-5' : 'h-[72px] flex-row bg-plate'}
      style={{ boxShadow: wide ? 'inset -2px 0 0 #1D3F8F' : 'inset 0 2px 0 #1D3F8F' }}
    >
      {STATIONS.map(({ station, words, href }) => {
        const on = station === at;
        return (
          <Link key={station} href={href} asChild>
            <Pressable
              aria-current={on ? 'page' : undefined}
              className={
                wide
                  ? 'h-[84px] items-center justify-center gap-1'
                  : 'flex-1 items-center justify-center gap-[2px] pt-1'
              }
            >
              {on && (
                <View
                  className={
                    wide
                      ? 'absolute bottom-3 right-0 top-3 w-[6px] rounded-l bg-cobalt'
                      : 'absolute left-[14px] right-[14px] top-0 h-[6px] rounded-b bg-cobalt'
                  }
                />
              )}
              <StationIcon station={station} on={on} />
              <Words size="small" weight={on ? 800 : 500} tone={on ? 'cobalt' : 'ink-2'}>
                {words}
              </Words>
            </Pressable>
          </Link>
        );
      })}
    </View>
  );
});
