import { Text, type TextProps } from 'react-native';

const SIZES = {
  note: 'text-note',
  small: 'text-small',
  label: 'text-label',
  body: 'text-body',
  lead: 'text-lead',
  head: 'text-head',
  title: 'text-title',
  figure: 'text-figure',
  huge: 'text-huge',
  typed: 'text-typed',
} as const;
const WEIGHTS = {
  400: 'font-body',
  500: 'font-medium',
  600: 'font-semi',
  700: 'font-bold',
  800: 'font-heavy',
} as const;
const TONES = {
  ink: 'text-ink',
  'ink-2': 'text-ink-2',
  cobalt: 'text-cobalt',
  white: 'text-white',
  milk: 'text-milk',
  'milk-2': 'text-milk-2',
  granite: 'text-granite',
  edge: 'text-edge',
} as const;

export interface WordsProps extends TextProps {
  size?: keyof typeof SIZES;
  weight?: keyof typeof WEIGHTS;
  tone?: keyof typeof TONES;
}

/** Text of the one family, with figures of one width, since the font's own are proportional. */
export function Words({ size = 'body', weight = 400, tone = 'ink', className = '', style, ...rest }: WordsProps) {
  return (
    <Text
      {...rest}
      className={`${SIZES[size]} ${WEIGHTS[weight]} ${TONES[tone]} ${className}`}
      style={[{ fontVariant: ['tabular-nums'] }, style]}
    />
  );
}

/** A heading, told to screen readers as one. */
export function Heading({ level = 2, ...rest }: WordsProps & { level?: 1 | 2 | 3 }) {
  return <Words role="heading" aria-level={level} size={level === 1 ? 'title' : 'lead'} weight={700} {...rest} />;
}
