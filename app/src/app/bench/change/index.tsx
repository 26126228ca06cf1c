import { ChangeScreen } from '@/features/bench/change/ChangeScreen';

export default function ChangeRoute() {
  return <ChangeScreen />;
}
