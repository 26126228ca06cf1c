import { ChooseProduct } from '@/features/bench/instrument/ChooseProduct';

export default function ScaleRoute() {
  return <ChooseProduct title="Scale a batch" leadsTo="/bench/scale/[product]" />;
}
