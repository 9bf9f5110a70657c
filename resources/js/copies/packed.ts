import { Noticed } from '@/api/noticed';

/** As of when everything today and tomorrow need lies on this device, ms; null until it does. */
export const packed = new Noticed<number | null>(null);
