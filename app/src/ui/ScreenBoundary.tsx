import { Component, type ReactNode } from 'react';
import { View } from 'react-native';
import { reportError } from '@/store/reportError';
import { Key } from './Key';
import { Plate } from './Plate';
import { Heading, Words } from './Words';

interface State {
  readonly broke: boolean;
  /** Its file did not come: there is no signal, or the app is another by now. */
  readonly isMissing?: boolean;
}

/** What breaks on a screen breaks there alone: the stations stay, what was entered is kept, the server's log is told. */
export class ScreenBoundary extends Component<{ readonly children: ReactNode }, State> {
  override state: State = { broke: false };

  static getDerivedStateFromError(error: unknown): State {
    return { broke: true, isMissing: error instanceof Error && error.name === 'AsyncRequireError' };
  }

  override componentDidCatch(error: unknown): void {
    reportError(error);
  }

  override render(): ReactNode {
    const { broke, isMissing } = this.state;
    if (!broke) return this.props.children;
    return isMissing ? <Missing /> : <Broken onRetry={() => this.setState({ broke: false })} />;
  }
}

/** Said in place of a screen whose file is not on this device yet: the page is opened anew to ask for it. */
function Missing() {
  return (
    <View role="alert" className="max-w-[640px] p-4">
      <Plate className="gap-3">
        <Heading>This screen is not on this device yet</Heading>
        <Words>It comes with the next signal, and then stays. What was entered is kept.</Words>
        <Key words="Try again" onPress={() => window.location.reload()} />
      </Plate>
    </View>
  );
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
