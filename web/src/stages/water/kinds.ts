/** Kinds of suspects and their states, in the order in which people look for them. */
export const suspectKinds = [
  'seam',
  'gutter',
  'corner',
  'spotWeld',
  'screw',
  'hole',
  'grommet',
  'seal',
  'clampGap',
  'crackedPlastic',
  'doorSeal',
  'clipRow',
  'patchEdge',
] as const
export const conditions = ['unknown', 'sound', 'aged', 'loose', 'cracked', 'open'] as const
