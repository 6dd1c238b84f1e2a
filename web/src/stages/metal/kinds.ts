import type { Repair } from './useRepairs'

/** Which kinds of repair the place of one allows: what runs along a line cannot be treated as an area, and the other way round. */
export const kindsFor = (value: Repair): readonly Repair['kind'][] =>
  value.shape === 'line'
    ? ['gutter', 'trim', 'plug', 'treat', 'patch', 'plate', 'leave']
    : ['treat', 'patch', 'plate', 'plug', 'leave']
