import { type ReactNode, useEffect, useRef, useState } from 'react';
import { type GestureResponderEvent, View, type ViewStyle } from 'react-native';

/** Whoever lets go of the keys for so long has made up her mind. */
const SETTLE_MS = 900;
/** It stays where it was put until the day is laid out anew around it, so long at most. */
const LAID_OUT_MS = 5_000;
const STEP_MIN = 5;
const FAR_MIN = 30;

interface TimeHandleProps {
  label: string;
  /** Where it stands now, in minutes of the plan. */
  minute: number;
  words: (minute: number) => string;
  pxPerMin: number;
  least: number;
  most: number;
  onSet: (minute: number) => void;
  /** Drawn where it stands, and where it is moved to. */
  children: (minute: number, isMoved: boolean) => ReactNode;
  className?: string;
  style?: ViewStyle;
}

/** Something in the day that a thumb drags up and down, or arrow keys move by five minutes; let go, it is told. */
export function TimeHandle({
  label,
  minute,
  words,
  pxPerMin,
  least,
  most,
  onSet,
  children,
  className,
  style,
}: TimeHandleProps) {
  const [moved, setMoved] = useState<number>();
  const grabbed = useRef({ y: 0, minute });
  const settle = useRef<ReturnType<typeof setTimeout>>(undefined);
  const [stood, setStood] = useState(minute);
  if (stood !== minute) {
    setStood(minute);
    setMoved(undefined);
  }
  const at = moved ?? minute;
  const within = (to: number) => Math.min(most, Math.max(least, STEP_MIN * Math.round(to / STEP_MIN)));
  const set = (to: number | undefined) => {
    clearTimeout(settle.current);
    if (to === undefined || to === minute) return setMoved(undefined);
    onSet(to);
    settle.current = setTimeout(() => setMoved(undefined), LAID_OUT_MS);
  };
  useEffect(() => () => clearTimeout(settle.current), []);
  const press = (by: number) => {
    const to = within(at + by);
    setMoved(to);
    clearTimeout(settle.current);
    settle.current = setTimeout(() => set(to), SETTLE_MS);
  };
  const keys = {
    onKeyDown: (event: { key: string; preventDefault: () => void }) => {
      if (event.key === 'Escape') return set(undefined);
      if (event.key === 'Enter') return set(moved);
      const by = { ArrowUp: -STEP_MIN, ArrowDown: STEP_MIN, PageUp: -FAR_MIN, PageDown: FAR_MIN }[event.key];
      if (by === undefined) return;
      event.preventDefault();
      press(by);
    },
  };
  return (
    <View
      onStartShouldSetResponder={() => true}
      onMoveShouldSetResponder={() => true}
      onResponderTerminationRequest={() => false}
      onResponderGrant={(event: GestureResponderEvent) => {
        grabbed.current = { y: event.nativeEvent.pageY, minute: at };
      }}
      onResponderMove={(event: GestureResponderEvent) =>
        setMoved(within(grabbed.current.minute + (event.nativeEvent.pageY - grabbed.current.y) / pxPerMin))
      }
      onResponderRelease={() => set(moved)}
      {...(keys as object)}
      role="slider"
      aria-label={label}
      aria-orientation="vertical"
      aria-valuemin={least}
      aria-valuemax={most}
      aria-valuenow={at}
      aria-valuetext={words(at)}
      tabIndex={0}
      className={className}
      style={{ ...style, touchAction: 'none' } as object}
    >
      {children(at, moved !== undefined)}
    </View>
  );
}
