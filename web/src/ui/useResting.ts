import { useEffect, useState } from 'react';

/** A value as it last stood still for a while: what costs computing is asked for once the hand rests. */
export function useResting<T>(value: T, ms = 700): T {
  const [rested, setRested] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setRested(value), ms);
    return () => clearTimeout(timer);
  }, [value, ms]);
  return rested;
}
