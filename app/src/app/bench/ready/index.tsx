import { ChooseProduct } from '@/features/bench/instrument/ChooseProduct';

export default function ReadyRoute() {
  return <ChooseProduct title="Ready times" leadsTo="/bench/ready/[product]" />;
}
