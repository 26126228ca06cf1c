import { type JarSize, JARS } from '@hoddle/core/handbook/jars';
import { FigureField } from '@/ui/FigureField';
import { readJars } from './readCount';

interface JarsFieldProps {
  typed: string;
  jar: JarSize;
  active: boolean;
  onFocus: () => void;
  onChange: (typed: string) => void;
}

/** How many jars of the chosen size. */
export function JarsField({ typed, jar, active, onFocus, onChange }: JarsFieldProps) {
  return (
    <FigureField
      label="Jars"
      typed={typed}
      unitWords={JARS[jar].several}
      active={active}
      large={false}
      wrong={readJars(typed).kind === 'slip'}
      onFocus={onFocus}
      onChange={onChange}
    />
  );
}
