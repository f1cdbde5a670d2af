import type { AvailableParts } from '@/core/advice/moves';
import { COMMON_STEELS } from '@/core/advice/moves';
import type { Stock } from '@/core/shelf/stock';
import { freeFor, springSetsOf } from '@/core/shelf/stock';
import { jobSelectors } from '@/state/jobs/jobsSlice';
import { useJob } from '@/state/jobs/useJob';
import { useAppSelector } from '@/state/store';

/** The stock available to the job on screen: the shelf without parts in other jobs. */
export function useFreeStock(): Stock {
  const { id } = useJob();
  const stock = useAppSelector((state) => state.shelf);
  const jobs = useAppSelector(jobSelectors.selectAll);
  return freeFor(
    stock,
    jobs.filter((j) => j.id !== id),
  );
}

/** The parts for fixes: thicknesses and springs of the shelf; common thicknesses while it has no steel. */
export function useShelfAtHand(): AvailableParts {
  const job = useJob();
  const stock = useFreeStock();
  const nominal = stock.plates.filter((p) => p.sort === 'steel').map((p) => p.nominal);
  const thicknesses = [...new Set(nominal)].sort((a, b) => a - b);
  return {
    steelThicknesses: thicknesses.length > 0 ? thicknesses : COMMON_STEELS.steelThicknesses,
    springs: springSetsOf(stock, job),
  };
}
