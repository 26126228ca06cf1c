import { type DayKitchen } from './dayKitchen';
import { type KitchenSetup } from './kitchenSetup';

/** What a household says of its kitchen, as it is kept. */
export interface KitchenTold extends Required<Pick<DayKitchen, 'canners' | 'ownJars'>> {
  readonly kitchen: Omit<KitchenSetup, 'burners' | 'units'>;
  readonly burners: number;
  readonly units: NonNullable<KitchenSetup['units']>;
}

/** The kitchen that days and seasons are laid out for, before anything is learned of it. */
export function kitchenOf({ canners, ownJars, kitchen, burners, units }: KitchenTold) {
  return { canners, ownJars, setup: { ...kitchen, burners, units } };
}
