import { type DateStyle, usualOrder } from '@hoddle/core/measure/dateWords';
import { useMemo } from 'react';
import { useHousehold } from '@/store/useHousehold';

/** How this household writes dates on paper and in files. */
export function useDateStyle(): DateStyle {
  const { dateOrder, units, kitchen } = useHousehold().household;
  const { timeZone } = kitchen;
  return useMemo(
    () => ({ order: dateOrder ?? usualOrder(units), ...(timeZone !== undefined && { timeZone }) }),
    [dateOrder, units, timeZone],
  );
}
