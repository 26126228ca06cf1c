import { BrineScreen } from '@/features/bench/brine/BrineScreen';

export default function BrineRoute() {
  return <BrineScreen />;
}
