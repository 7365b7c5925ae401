import { createContext } from 'react';
import type { Battery } from '@/server/repositories/batteries';

/** The batteries of the store that were read, for the words that say how old a supply is. */
export const Batteries = createContext<readonly Battery[]>([]);
