import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { questions } from '../../api/questions.js';
import { meterAsInShop } from './my-meters.js';

/** Keeps the meter in use as the shop has it, as far as the shop can be asked. */
export function useMeterOfToday(): void {
  const { data } = useQuery(questions.shop());
  useEffect(() => {
    if (data) meterAsInShop(data.meters);
  }, [data]);
}
