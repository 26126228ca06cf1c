import { type Card, type CardLine } from '../../handbook/cards/card';
import { isProduce, kgAsPicked } from '../cardCrops';

/** The produce that an own card is made of first of all: of those the handbook knows the heaviest, then the first. */
export function mainLineOf(card: Card): CardLine | undefined {
  const lines = card.ingredients.filter(
    (line) => isProduce(line) && line.crops.length > 0 && !line.optional && line.then !== 'drained',
  );
  const kg = (line: CardLine) => (line.crops[0] && kgAsPicked(line, line.crops[0], card)) ?? 0;
  return lines.reduce<CardLine | undefined>((best, line) => (best && kg(best) >= kg(line) ? best : line), undefined);
}
