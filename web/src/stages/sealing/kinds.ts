import type { Schemas } from '@/api/client'

/** In the order in which they are offered. */
export const jointKinds: readonly Schemas['JointKind'][] = [
  'seam',
  'gutter',
  'roofFlange',
  'sideFlange',
  'bondedPane',
  'doorSeal',
  'patchEdge',
  'clipRow',
  'penetration',
]
export const substrates: readonly Schemas['Substrate'][] = [
  'paintedMetal',
  'bareSteel',
  'galvanisedSteel',
  'aluminium',
  'glass',
  'acrylic',
  'plasticFrame',
  'glassReinforcedPlastic',
  'timber',
]
export const families: readonly Schemas['ProductFamily'][] = [
  'polyurethaneAdhesive',
  'marinePolyurethane',
  'silaneModifiedPolymer',
  'neutralSilicone',
  'acetoxySilicone',
  'heatSilicone',
  'butylTape',
  'lapSealant',
  'roofingTape',
  'epoxyPutty',
  'foamTape',
  'siliconeRoofCoating',
  'temporarySealant',
]
