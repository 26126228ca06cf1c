import { ChooseProduct } from '@/features/bench/instrument/ChooseProduct';

export default function ChooseBrineRoute() {
  return <ChooseProduct title="Brine" leadsTo="/bench/brine/[product]" />;
}
