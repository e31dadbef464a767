import { offered } from './choices';

/** Stands for whichever plant has a manufacturing structure of an item first. */
export const FIRST_PLANT = 'first';

/** The plants that manufacturing structures are told for: every site is one. */
export const plants = (): Record<string, string> => ({
  [FIRST_PLANT]: 'Plant that makes it',
  ...Object.fromEntries(Object.keys(offered('site')).map((code) => [code, `Plant ${code}`])),
});
