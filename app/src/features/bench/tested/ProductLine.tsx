import { JARS } from '@hoddle/core/handbook/jars';
import { type ProductRow } from '@hoddle/core/handbook/products';
import { findTestedRow, processAt, testedMethods } from '@hoddle/core/process/findProcess';
import { memo } from 'react';
import { View } from 'react-native';
import { SHORT_NAMES } from '@/household/process/methodNames';
import { usePages } from '@/household/process/usePages';
import { useHousehold } from '@/store/useHousehold';
import { hueOfProduct } from '@/ui/colours';
import { RowLink } from '@/ui/RowLink';
import { Words } from '@/ui/Words';
import { isTestedHere } from './isTestedHere';
import { firstQuestion } from './useTestedQuestion';

export type ProductPath =
  | '/bench/tested/[product]'
  | '/bench/change/[product]'
  | '/bench/brine/[product]'
  | '/bench/scale/[product]'
  | '/bench/ready/[product]';

interface ProductLineProps {
  product: ProductRow;
  chosen: boolean;
  leadsTo?: ProductPath;
}

/** One product of the list: its names, how it is canned, and the minutes of its usual jar, large. */
export const ProductLine = memo(function ProductLine({
  product,
  chosen,
  leadsTo = '/bench/tested/[product]',
}: ProductLineProps) {
  const { altitudeFt } = useHousehold().household;
  const pages = usePages();
  const question = firstQuestion(product);
  const row = findTestedRow({ ...question, product: product.product }, pages);
  const answer = row.kind === 'testedRow' && altitudeFt !== null ? processAt(row, altitudeFt) : undefined;
  const minutes = answer?.kind === 'tested' ? answer.minutes : undefined;
  const psi = answer?.kind === 'tested' ? answer.pressurePsi : undefined;
  const methods = testedMethods(product).filter((method) =>
    isTestedHere(findTestedRow({ ...question, method, product: product.product }, pages), altitudeFt),
  );
  const ways = [...new Set(methods.map((method) => SHORT_NAMES[method]))].join(', ');
  const also = product.otherNames.length === 0 ? '' : `also ${product.otherNames.join(', ')}`;
  const note = [also, ways || 'not offered for the shelf'].filter(Boolean).join('; ');
  const jarWords =
    minutes === undefined
      ? ''
      : `${minutes} min${psi === undefined ? '' : ` at ${psi} psi`} in ${JARS[question.jar].several}`;
  return (
    <View role="listitem">
      <RowLink
        href={{ pathname: leadsTo, params: { product: product.product } }}
        label={[product.name, jarWords, note].filter(Boolean).join('. ')}
        className={`min-h-[64px] flex-row items-center gap-3 border-t border-hair py-2 pr-2 ${chosen ? 'bg-plate' : ''}`}
        style={chosen ? { boxShadow: 'inset 0 0 0 3px #1D3F8F', borderRadius: 10 } : undefined}
      >
        <View className="h-[44px] w-[6px] rounded" style={{ backgroundColor: hueOfProduct(product.product).hue }} />
        <View className="flex-1">
          <Words size="lead" weight={chosen ? 800 : 700}>
            {product.name}
          </Words>
          <Words size="small" tone="ink-2">
            {note}
          </Words>
        </View>
        {minutes !== undefined && (
          <View className="items-end">
            <Words>
              <Words size="head" weight={800}>
                {minutes}
              </Words>{' '}
              min
            </Words>
            <Words size="small" tone="ink-2">
              {JARS[question.jar].several}
              {psi === undefined ? '' : `, ${psi} psi`}
            </Words>
          </View>
        )}
      </RowLink>
    </View>
  );
});
