// Written by web/scripts/api.sh from the API document: change the record in Core instead.
/** What a figure may be, what it is called at the beginning of a sentence, and its unit. */
export interface Bounds {
  least: number
  most: number
  label: string
  unit: string
}
export const bounds = {
  AirHour: {
    airC: { least: -40, most: 80, label: 'The temperature', unit: 'C' },
    relativePercent: { least: 0, most: 100, label: 'The humidity', unit: '%' },
  },
  AirInput: { airC: { least: -40, most: 80, label: 'The temperature', unit: 'C' } },
  AirPassage: {
    freeAreaMm2: { least: 0, most: 1000000, label: 'The free area', unit: 'mm2' },
    flowM3h: { least: 0, most: 5000, label: 'What the fan moves', unit: 'm3/h' },
  },
  AirWay: {
    flowM3h: { least: 0, most: 5000, label: 'What a fan moves', unit: 'm3/h' },
    freeAreaMm2: { least: 0, most: 1000000, label: 'A free area', unit: 'mm2' },
  },
  AsCut: {
    topWidthMm: { least: 10, most: 6000, label: 'A measured width', unit: 'mm' },
    bottomWidthMm: { least: 10, most: 6000, label: 'A measured width', unit: 'mm' },
    frontHeightMm: { least: 10, most: 6000, label: 'A measured height', unit: 'mm' },
    rearHeightMm: { least: 10, most: 6000, label: 'A measured height', unit: 'mm' },
    risingDiagonalMm: { least: 10, most: 9000, label: 'A measured diagonal', unit: 'mm' },
    fallingDiagonalMm: { least: 10, most: 9000, label: 'A measured diagonal', unit: 'mm' },
  },
  Attitude: {
    pitchDeg: { least: -20, most: 20, label: 'The pitch', unit: 'degrees' },
    rollDeg: { least: -20, most: 20, label: 'The roll', unit: 'degrees' },
  },
  BeadInput: {
    pathMm: { least: 1, most: 200000, label: 'The path', unit: 'mm' },
    notchBaseMm: { least: 0.5, most: 60, label: "The notch's base", unit: 'mm' },
    notchHeightMm: { least: 0.5, most: 60, label: "The notch's height", unit: 'mm' },
    squeezedMm: { least: 0.2, most: 50, label: 'The squeezed thickness', unit: 'mm' },
    landMm: { least: 1, most: 500, label: 'The land', unit: 'mm' },
    cartridgeMl: { least: 1, most: 20000, label: 'The cartridge', unit: 'ml' },
    wastePercent: { least: 0, most: 200, label: 'The waste', unit: '%' },
    layMmPerMinute: { least: 10, most: 20000, label: 'The pace', unit: 'mm/min' },
    openMinutes: { least: 0.5, most: 1440, label: 'The open time', unit: 'minutes' },
  },
  BeddingTape: {
    widthMm: { least: 5, most: 200, label: "The tape's width", unit: 'mm' },
    thickMm: { least: 0.5, most: 50, label: "The tape's thickness", unit: 'mm' },
    squeezedShare: { least: 0.1, most: 1, label: 'What is left of it when squeezed', unit: '' },
  },
  BendInput: {
    thickMm: { least: 0.3, most: 6, label: 'The sheet', unit: 'mm' },
    radiusMm: { least: 0.1, most: 50, label: 'The inside radius', unit: 'mm' },
    degrees: { least: 1, most: 165, label: 'The bend', unit: 'degrees' },
  },
  BlankDesign: {
    thickMm: { least: 0.3, most: 6, label: 'The sheet', unit: 'mm' },
    cornerMm: { least: 0, most: 500, label: "The corner's radius", unit: 'mm' },
  },
  BondThicknessInput: {
    lengthMm: { least: 1, most: 30000, label: 'The length', unit: 'mm' },
    spanK: { least: 0, most: 200, label: 'The span of temperature', unit: 'K' },
    strain: { least: 0.01, most: 5, label: 'The allowed strain', unit: '' },
  },
  Bonded: { landMm: { least: 1, most: 300, label: 'The land', unit: 'mm' } },
  BoxSize: {
    lengthMm: { least: 500, most: 30000, label: 'The length', unit: 'mm' },
    widthMm: { least: 500, most: 4000, label: 'The width', unit: 'mm' },
    heightMm: { least: 300, most: 4500, label: 'The height', unit: 'mm' },
  },
  ClampLayer: { thickMm: { least: 0, most: 500, label: 'A layer', unit: 'mm' } },
  ClampRange: {
    leastMm: { least: 0.5, most: 300, label: 'The thinnest wall', unit: 'mm' },
    mostMm: { least: 0.5, most: 300, label: 'The thickest wall', unit: 'mm' },
  },
  ClampStackInput: {
    nominalGapMm: { least: 0, most: 500, label: 'The nominal gap', unit: 'mm' },
    lugs: { least: 0, most: 100, label: 'The number of lugs', unit: '' },
  },
  Coat: {
    dryMicrometres: { least: 5, most: 1000, label: 'The dry film', unit: 'um' },
    solidsPercent: { least: 10, most: 100, label: 'The solids', unit: '%' },
    canMl: { least: 10, most: 20000, label: 'A can', unit: 'ml' },
    recoatFromHours: { least: 0, most: 500, label: 'The time to the next coat', unit: 'hours' },
    recoatToHours: { least: 0, most: 2000, label: 'The time after which it is abraded', unit: 'hours' },
    leastC: { least: -20, most: 40, label: 'The coldest', unit: 'C' },
    mostC: { least: -10, most: 60, label: 'The hottest', unit: 'C' },
  },
  CureInput: { widthMm: { least: 0, most: 100, label: "The bead's width", unit: 'mm' } },
  Dam: { standsMm: { least: 0, most: 1000, label: 'How far it stands above the skin', unit: 'mm' } },
  DewPointInput: {
    airC: { least: -40, most: 80, label: 'The temperature', unit: 'C' },
    surfaceC: { least: -40, most: 120, label: "The surface's temperature", unit: 'C' },
  },
  DigMark: { acrossMm: { least: 0.5, most: 300, label: 'The mark', unit: 'mm' } },
  DoorBowInput: { heightMm: { least: 200, most: 4000, label: "The door's height", unit: 'mm' } },
  DoorFit: { sealMm: { least: 3, most: 60, label: 'The seal', unit: 'mm' } },
  DoorPushed: {
    atMm: { least: 0, most: 4000, label: 'The height', unit: 'mm' },
    byMm: { least: 0, most: 200, label: 'The push', unit: 'mm' },
  },
  DoorReading: {
    heightMm: { least: 0, most: 4000, label: 'The height', unit: 'mm' },
    gapMm: { least: 0, most: 100, label: 'The gap', unit: 'mm' },
  },
  DraughtInput: {
    volumeM3: { least: 0, most: 1000, label: 'The volume', unit: 'm3' },
    floorAreaM2: { least: 0, most: 200, label: 'The floor area', unit: 'm2' },
  },
  DryingInput: {
    restingPercent: { least: 0, most: 30, label: 'The moisture that the air holds wood at', unit: '%' },
    limitPercent: { least: 1, most: 60, label: 'The limit', unit: '%' },
  },
  FindingMeasures: {
    lengthMm: { least: 0, most: 30000, label: 'The length', unit: 'mm' },
    widthMm: { least: 0, most: 30000, label: 'The width', unit: 'mm' },
    depthMm: { least: 0, most: 1000, label: 'The depth', unit: 'mm' },
    moisturePercent: { least: 0, most: 200, label: 'The moisture', unit: '%' },
  },
  Fitting: {
    toleranceMinusMm: { least: 0, most: 20, label: 'How much smaller the hole may be', unit: 'mm' },
    tolerancePlusMm: { least: 0, most: 20, label: 'How much larger the hole may be', unit: 'mm' },
    leastLapMm: { least: 0, most: 300, label: 'The least lap', unit: 'mm' },
    massKg: { least: 0, most: 300, label: 'The mass', unit: 'kg' },
    flatnessMm: { least: 0, most: 50, label: 'The unevenness that it takes', unit: 'mm' },
    beddingMostMm: { least: 0, most: 100, label: 'The greatest depth of bedding', unit: 'mm' },
    heatMm: { least: 0, most: 2000, label: 'The distance of what burns', unit: 'mm' },
  },
  FlangeScrews: {
    alongWidth: { least: 2, most: 40, label: 'The number of screws along the width, corners included,', unit: '' },
    alongHeight: { least: 0, most: 40, label: 'The number of screws along the height', unit: '' },
    insetMm: { least: 1, most: 200, label: "The screw line's distance from the edge", unit: 'mm' },
    pilotMm: { least: 0.5, most: 20, label: 'The pilot hole', unit: 'mm' },
  },
  Fold: {
    degrees: { least: 1, most: 165, label: 'The fold', unit: 'degrees' },
    radiusMm: { least: 0.1, most: 50, label: 'The inside radius', unit: 'mm' },
    lengthMm: { least: 3, most: 500, label: 'The flange', unit: 'mm' },
  },
  FoldedEdge: {
    edge: { least: 0, most: 39, label: 'The edge', unit: '' },
    fromMm: { least: 0, most: 30000, label: 'Where the flange begins', unit: 'mm' },
    toMm: { least: 0, most: 30000, label: 'Where the flange ends', unit: 'mm' },
  },
  Footprint: { widthMm: { least: 0, most: 2000, label: 'A width', unit: 'mm' } },
  Frame: { leastLapMm: { least: 0, most: 300, label: 'The least lap', unit: 'mm' } },
  Halves: {
    gapMm: { least: 0, most: 300, label: 'The gap between the halves', unit: 'mm' },
    lugs: { least: 0, most: 100, label: 'The number of lugs', unit: '' },
    gasketMm: { least: 0, most: 60, label: "The gasket's free height", unit: 'mm' },
    cornerScrewMm: { least: 1, most: 200, label: "The corner screws' distance from the inner frame's edge", unit: 'mm' },
  },
  HeightField: {
    cellMm: { least: 0.1, most: 10000, label: "A cell's side", unit: 'mm' },
    columns: { least: 3, most: 100000, label: 'The number of columns', unit: '' },
    rows: { least: 3, most: 100000, label: 'The number of rows', unit: '' },
    sMinMm: { least: -30000, most: 30000, label: 'The first column', unit: 'mm' },
    tMinMm: { least: -30000, most: 30000, label: 'The first row', unit: 'mm' },
  },
  HoleRow: {
    diameterMm: { least: 1, most: 200, label: 'The hole', unit: 'mm' },
    sheetMm: { least: 0.3, most: 6, label: 'The sheet', unit: 'mm' },
  },
  HoleRowInput: { count: { least: 1, most: 500, label: 'The holes', unit: '' } },
  Joint: {
    lengthMm: { least: 1, most: 100000, label: "The joint's length", unit: 'mm' },
    gapMm: { least: 0, most: 100, label: "The joint's width", unit: 'mm' },
    movementMm: { least: 0, most: 100, label: 'The movement', unit: 'mm' },
    hotC: { least: 0, most: 1000, label: 'How hot the joint gets', unit: 'C' },
  },
  LeakPrior: { probability: { least: 0, most: 1, label: 'A probability', unit: '' } },
  Marking: {
    markerOffsetMm: { least: 0, most: 20, label: "The pencil's offset", unit: 'mm' },
    startHoleMm: { least: 3, most: 100, label: 'A start hole', unit: 'mm' },
  },
  Masses: {
    kerbKg: { least: 50, most: 40000, label: 'The kerb mass', unit: 'kg' },
    permittedKg: { least: 50, most: 40000, label: 'The permitted mass', unit: 'kg' },
    frontAxleKg: { least: 20, most: 20000, label: "The front axle's limit", unit: 'kg' },
    rearAxleKg: { least: 20, most: 30000, label: "The rear axle's limit", unit: 'kg' },
    wheelbaseMm: { least: 500, most: 15000, label: 'The wheelbase', unit: 'mm' },
  },
  MeasuredLine: {
    firstMm: { least: -30000, most: 30000, label: 'A distance', unit: 'mm' },
    secondMm: { least: -30000, most: 30000, label: 'A distance', unit: 'mm' },
  },
  Member: {
    depthMm: { least: -100, most: 500, label: 'The depth', unit: 'mm' },
    flankMm: { least: 0, most: 300, label: "The flank's width", unit: 'mm' },
  },
  MoistureReading: {
    hours: { least: 0, most: 100000, label: 'The time of a reading', unit: 'h' },
    moisturePercent: { least: 0, most: 200, label: 'A moisture', unit: '%' },
  },
  NestQuestion: { gapMm: { least: 0.5, most: 50, label: 'The gap', unit: 'mm' } },
  Observation: {
    moisturePercent: { least: 0, most: 200, label: 'The moisture', unit: '%' },
    afterMinutes: { least: 0, most: 1000, label: 'After how many minutes', unit: 'minutes' },
  },
  OldWindow: { glassMm: { least: 2, most: 12, label: 'The pane', unit: 'mm' } },
  OpenTimeInput: { layMinutes: { least: 0, most: 1440, label: 'The time to lay it', unit: 'minutes' } },
  Opening: { wallMm: { least: 0.3, most: 300, label: "The wall's thickness", unit: 'mm' } },
  OpeningsTogether: { spacingMm: { least: 0, most: 2000, label: 'The room between two flanges', unit: 'mm' } },
  PaintInput: {
    areaM2: { least: 0.001, most: 500, label: 'The area', unit: 'm2' },
    airC: { least: -20, most: 60, label: 'The temperature', unit: 'C' },
  },
  PaintWeather: {
    airC: { least: -40, most: 60, label: 'The temperature', unit: 'C' },
    relativePercent: { least: 1, most: 100, label: 'The humidity', unit: '%' },
    steelC: { least: -40, most: 90, label: 'The temperature of the metal', unit: 'C' },
    dryHours: { least: 0, most: 500, label: 'The time until it rains', unit: 'hours' },
    touchDryHours: { least: 0, most: 100, label: 'The time to touch-dry', unit: 'hours' },
    leastC: { least: -20, most: 40, label: 'The coldest', unit: 'C' },
    mostC: { least: -10, most: 60, label: 'The hottest', unit: 'C' },
  },
  Panel: {
    skinMm: { least: 0.3, most: 50, label: "The skin's thickness", unit: 'mm' },
    arcRadiusAlongMm: { least: 200, most: 1000000, label: 'The radius along', unit: 'mm' },
    arcRadiusAcrossMm: { least: 200, most: 1000000, label: 'The radius across', unit: 'mm' },
    skinGapMm: { least: 0.5, most: 300, label: 'The gap between the skins', unit: 'mm' },
    taperDeg: { least: -45, most: 45, label: 'The taper', unit: 'degrees' },
  },
  ParallelLinesInput: {
    apartMm: { least: 50, most: 30000, label: 'The distance between the two places', unit: 'mm' },
    openingMm: { least: 20, most: 5000, label: "The opening's width", unit: 'mm' },
  },
  PatchDesign: {
    cutBackMm: { least: 0, most: 500, label: 'The cut-back', unit: 'mm' },
    cornerMm: { least: 10, most: 500, label: "The corner's radius", unit: 'mm' },
    lapMm: { least: 3, most: 500, label: 'The lap', unit: 'mm' },
    sheetMm: { least: 0.3, most: 6, label: 'The patch', unit: 'mm' },
  },
  PatchSide: {
    cutBackMm: { least: 0, most: 500, label: 'The cut-back', unit: 'mm' },
    lapMm: { least: 0, most: 500, label: 'The lap', unit: 'mm' },
  },
  PerSide: {
    frontMm: { least: 0, most: 2000, label: 'The figure at the front', unit: 'mm' },
    rearMm: { least: 0, most: 2000, label: 'The figure at the rear', unit: 'mm' },
    topMm: { least: 0, most: 2000, label: 'The figure at the top (left)', unit: 'mm' },
    bottomMm: { least: 0, most: 2000, label: 'The figure at the bottom (right)', unit: 'mm' },
  },
  Place: {
    latitudeDeg: { least: -90, most: 90, label: 'The latitude', unit: 'degrees' },
    longitudeDeg: { least: -180, most: 180, label: 'The longitude', unit: 'degrees' },
  },
  PondingInput: { cellMm: { least: 2, most: 500, label: "A cell's side", unit: 'mm' } },
  PotLifeInput: {
    minutesAt23C: { least: 1, most: 1440, label: 'The pot life', unit: 'minutes' },
    airC: { least: -20, most: 60, label: 'The temperature', unit: 'C' },
    grams: { least: 1, most: 20000, label: 'The mass', unit: 'g' },
  },
  Product: {
    movementPercent: { least: 0, most: 100, label: 'The movement', unit: '%' },
    skinMinutes: { least: 0.5, most: 10000, label: 'The skin time or pot life', unit: 'minutes' },
    cureMmPerDay: { least: 0.05, most: 50, label: 'The depth cured in 24 hours', unit: 'mm' },
    serviceFromC: { least: -100, most: 100, label: 'The coldest service', unit: 'C' },
    serviceToC: { least: -50, most: 400, label: 'The hottest service', unit: 'C' },
    layFromC: { least: -40, most: 60, label: 'The coldest at which it is laid', unit: 'C' },
    layToC: { least: -40, most: 100, label: 'The hottest at which it is laid', unit: 'C' },
    packMl: { least: 0, most: 50000, label: 'A pack', unit: 'ml' },
    shelfMonths: { least: 0, most: 600, label: 'The shelf life', unit: '' },
    openedHours: { least: 0, most: 100000, label: 'How long it keeps once opened', unit: 'hours' },
  },
  Repair: {
    lengthMm: { least: 0, most: 30000, label: 'The diameter', unit: 'mm' },
    widthMm: { least: 0, most: 30000, label: 'The width', unit: 'mm' },
  },
  RivetRow: {
    edgeMm: { least: 3, most: 200, label: 'The edge distance', unit: 'mm' },
    sealantMm: { least: 0, most: 5, label: 'The sealant', unit: 'mm' },
  },
  RoundedRectangle: {
    widthMm: { least: 20, most: 5000, label: 'A width', unit: 'mm' },
    heightMm: { least: 20, most: 5000, label: 'A height', unit: 'mm' },
    cornerRadiusMm: { least: 0, most: 2500, label: 'A corner radius', unit: 'mm' },
  },
  RustLimits: {
    treatBelowPercent: { least: 1, most: 50, label: 'The loss that is only treated', unit: '%' },
    cutAbovePercent: { least: 1, most: 90, label: 'The loss above which it is cut out', unit: '%' },
    puttyMostMm: { least: 0, most: 10, label: 'The hole that putty closes', unit: 'mm' },
  },
  RustSpot: {
    sheetMm: { least: 0.3, most: 12, label: 'The sheet', unit: 'mm' },
    leftMm: { least: 0, most: 12, label: 'What is left of the sheet', unit: 'mm' },
    areaPercent: { least: 0, most: 100, label: 'The rusted share', unit: '%' },
    holeMm: { least: 0, most: 2000, label: 'The hole', unit: 'mm' },
  },
  RustWork: {
    lengthMm: { least: 5, most: 5000, label: 'The length', unit: 'mm' },
    widthMm: { least: 5, most: 5000, label: 'The width', unit: 'mm' },
    airC: { least: -20, most: 50, label: 'The temperature', unit: 'C' },
    relativePercent: { least: 1, most: 100, label: 'The humidity', unit: '%' },
  },
  SagittaInput: {
    radiusMm: { least: 1, most: 10000000, label: 'The radius', unit: 'mm' },
    chordMm: { least: 1, most: 30000, label: 'The chord', unit: 'mm' },
    riseMm: { least: 0.001, most: 30000, label: 'The rise', unit: 'mm' },
  },
  ScrewForWall: {
    lengthMm: { least: 2, most: 300, label: 'A screw', unit: 'mm' },
    fromMm: { least: 0, most: 300, label: 'The thinnest wall of a screw', unit: 'mm' },
    toMm: { least: 0, most: 300, label: 'The thickest wall of a screw', unit: 'mm' },
  },
  SealReading: {
    gapMm: { least: 0, most: 100, label: 'The gap', unit: 'mm' },
    sealMm: { least: 0.5, most: 100, label: 'The height of the seal', unit: 'mm' },
  },
  SealantChoiceInput: { airC: { least: -40, most: 80, label: 'The temperature', unit: 'C' } },
  SeamRun: {
    wideMm: { least: 2, most: 100, label: "The bead's width", unit: 'mm' },
    deepMm: { least: 1, most: 50, label: "The bead's depth", unit: 'mm' },
    spotWelds: { least: 0, most: 200, label: 'The spot welds', unit: '' },
  },
  SeatSide: {
    lengthMm: { least: 10, most: 6000, label: 'A side', unit: 'mm' },
    maxGapMm: { least: 0, most: 200, label: 'The greatest gap', unit: 'mm' },
    landMm: { least: 0, most: 300, label: 'The land', unit: 'mm' },
  },
  SheetsCut: {
    thickMm: { least: 0.3, most: 6, label: 'The sheet', unit: 'mm' },
    gapMm: { least: 0.5, most: 50, label: 'The gap', unit: 'mm' },
  },
  SillTaperInput: {
    lengthMm: { least: 1, most: 30000, label: "The sill's length", unit: 'mm' },
    taperDeg: { least: -45, most: 45, label: 'The taper', unit: 'degrees' },
    frontMm: { least: 0, most: 2000, label: 'The depth in front', unit: 'mm' },
  },
  Site: { wallMm: { least: 0.3, most: 300, label: "The wall's thickness", unit: 'mm' } },
  SixReadings: {
    topMm: { least: 10, most: 30000, label: 'A measured side', unit: 'mm' },
    bottomMm: { least: 10, most: 30000, label: 'A measured side', unit: 'mm' },
    frontMm: { least: 10, most: 30000, label: 'A measured side', unit: 'mm' },
    rearMm: { least: 10, most: 30000, label: 'A measured side', unit: 'mm' },
    risingMm: { least: 10, most: 60000, label: 'A measured diagonal', unit: 'mm' },
    fallingMm: { least: 10, most: 60000, label: 'A measured diagonal', unit: 'mm' },
  },
  Spray: { minutes: { least: 0.5, most: 240, label: 'How long is sprayed', unit: 'minutes' } },
  StockSheet: { thickMm: { least: 0.3, most: 6, label: 'The sheet', unit: 'mm' } },
  SurfaceReliefInput: { stepMm: { least: 2, most: 500, label: 'The step', unit: 'mm' } },
  SurfaceSection: {
    stationMm: { least: -30000, most: 30000, label: 'The station', unit: 'mm' },
    straightEdgeMm: { least: -2000, most: 2000, label: "The straight-edge's height", unit: 'mm' },
  },
  SurfaceSectionInput: { stationMm: { least: -30000, most: 30000, label: 'The station', unit: 'mm' } },
  TapeRun: {
    firstNumber: { least: 0, most: 999, label: 'The first number', unit: '' },
    depthMm: { least: -100, most: 500, label: 'The depth', unit: 'mm' },
  },
  TighteningOrderInput: { count: { least: 0, most: 1000, label: 'The number of screws', unit: '' } },
  TogetherSite: { spacingMm: { least: 0, most: 2000, label: 'The room between two flanges', unit: 'mm' } },
  TrimRun: {
    pitchMm: { least: 20, most: 1000, label: 'The distance', unit: 'mm' },
    beddingWideMm: { least: 0, most: 200, label: "The bedding's width", unit: 'mm' },
  },
  Vehicle: {
    year: { least: 1900, most: 2100, label: 'The year', unit: '' },
    markerOffsetMm: { least: 0, most: 20, label: "The pencil's offset", unit: 'mm' },
  },
  WeldOrderInput: { sheetMm: { least: 0.3, most: 6, label: 'The sheet', unit: 'mm' } },
  Wish: {
    weight: { least: 0, most: 100, label: "A wish's weight", unit: '' },
    atMm: { least: -30000, most: 30000, label: 'The line', unit: 'mm' },
  },
  Zone: {
    xMinMm: { least: -30000, most: 30000, label: 'The front', unit: 'mm' },
    xMaxMm: { least: -30000, most: 30000, label: 'The rear', unit: 'mm' },
    yMinMm: { least: -5000, most: 5000, label: 'The right edge', unit: 'mm' },
    yMaxMm: { least: -5000, most: 5000, label: 'The left edge', unit: 'mm' },
    zMinMm: { least: -2000, most: 5000, label: 'The foot', unit: 'mm' },
    zMaxMm: { least: -2000, most: 5000, label: 'The top', unit: 'mm' },
  },
} satisfies Record<string, Record<string, Bounds>>
