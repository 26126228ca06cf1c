import { Component, type ReactNode } from 'react';
import { View } from 'react-native';
import { reportError } from '@/store/reportError';
import { Key } from './Key';
import { Plate } from './Plate';
import { Heading, Words } from './Words';

interface State {
  readonly broke: boolean;
}

/** What breaks on a screen breaks there alone: the stations stay, what was entered is kept, the server's log is told. */
export class ScreenBoundary extends Component<{ readonly children: ReactNode }, State> {
  override state: State = { broke: false };

  static getDerivedStateFromError(): State {
    return { broke: true };
  }

  override componentDidCatch(error: unknown): void {
    reportError(error);
  }

  override render(): ReactNode {
    return this.state.broke ? <Broken onRetry={() => this.setState({ broke: false })} /> : this.props.children;
  }
}

/** Said in place of what broke. */
export function Broken({ onRetry }: { readonly onRetry: () => void }) {
  return (
    <View role="alert" className="max-w-[640px] p-4">
      <Plate className="gap-3">
        <Heading>This part broke</Heading>
        <Words>
          What was entered is kept. Clocks of loads run on by themselves; the log of the server says what broke.
        </Words>
        <Key words="Try again" onPress={onRetry} />
      </Plate>
    </View>
  );
}
