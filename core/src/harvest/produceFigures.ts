import { formsOf } from '../handbook/forms';
import { type ProduceId, produceRow } from '../handbook/produce';
import { type Amount, type Unit } from '../measure/amount';
import { type Conversion, convertAmount, type ProduceFigures } from '../measure/convertAmount';

/**
 * What the handbook knows of a crop's weights and volumes, in one prepared form or as picked.
 *
 * @param form one of the crop's forms ("crushed"); without one there is no volume
 */
export function produceFigures(crop: ProduceId, form?: string): ProduceFigures {
  const { name, bushelLb, lugLb, quartBoxLb, cupsPerPiece } = produceRow(crop);
  const cupsPerLb = formsOf(crop).find((row) => row.form === form)?.cupsPerLb;
  const words = form === undefined ? name.toLowerCase() : `${name.toLowerCase()}, ${form}`;
  return { words, bushelLb, lugLb, quartBoxLb, cupsPerPiece, cupsPerLb };
}

/** Says an amount of a crop in another unit: "5 cups of crushed strawberries is how many quart boxes?" */
export function convertProduce(amount: Amount, to: Unit, crop: ProduceId, form?: string): Conversion {
  return convertAmount(amount, to, produceFigures(crop, form));
}
