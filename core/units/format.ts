export type Units = 'us' | 'metric'

const FOOT_M = 0.3048
const INCH_M = 0.0254
const OUNCE_KG = 0.028349523125
const POUND_KG = 0.45359237

/** Depth or height: "7 ft 2" or "2.2 m". */
export function formatDepth(m: number, units: Units): string {
  if (units === 'metric') return `${trim(m, m < 10 ? 1 : 0)} m`
  const inches = Math.round(m / INCH_M)
  const feet = Math.trunc(inches / 12)
  const rest = Math.abs(inches % 12)
  if (feet === 0) return `${rest} in`
  return rest === 0 ? `${feet} ft` : `${feet} ft ${rest}`
}

/** A setting to tie or measure by: to the inch, or the centimetre. */
export function formatSetting(m: number, units: Units): string {
  if (units === 'metric') return `${m.toFixed(2)} m`
  return formatDepth(m, units)
}

/** Depth to the nearest whole foot, or half metre. */
export function formatRoundDepth(m: number, units: Units): string {
  return `${roundDepth(m, units)} ${depthUnit(units)}`
}

/** "6–10 ft" or "2–3 m". */
export function formatDepthBand(topM: number, bottomM: number, units: Units): string {
  return `${roundDepth(topM, units)}–${roundDepth(bottomM, units)} ${depthUnit(units)}`
}

function roundDepth(m: number, units: Units): number {
  return units === 'us' ? Math.round(m / FOOT_M) : Math.round(m * 2) / 2
}

export function depthUnit(units: Units): string {
  return units === 'us' ? 'ft' : 'm'
}

/** One depth unit in metres: feet for the US, metres else. */
export function depthUnitM(units: Units): number {
  return units === 'us' ? FOOT_M : 1
}

/** A small rise or offset: "5 in" or "12 cm". */
export function formatSmall(m: number, units: Units): string {
  return units === 'us' ? (m >= 2 * FOOT_M ? formatDepth(m, units) : `${trim(m / INCH_M, m < INCH_M ? 1 : 0)} in`) : `${trim(m * 100, 0)} cm`
}

const QUARTERS = ['', '¼', '½', '¾']

/** Length of a lure body or a fish, to the quarter inch, or the millimetre in centimetres: "1½ in", "28.6 cm". */
export function formatLength(m: number, units: Units): string {
  if (units === 'metric') return `${trim(m * 100, 1)} cm`
  const quarters = Math.round((m / INCH_M) * 4)
  const whole = Math.trunc(quarters / 4)
  return `${whole === 0 && quarters % 4 ? '' : whole}${QUARTERS[quarters % 4]} in`
}

/** Distance on the water: "28 ft", "¼ mile" is never used; "8.5 m", "1.2 km". */
export function formatDistance(m: number, units: Units): string {
  if (units === 'us') return m < 1200 ? `${grouped(m / FOOT_M)} ft` : `${trim(m / 1609.344, 1)} mi`
  return m < 1000 ? `${trim(m, m < 20 ? 1 : 0)} m` : `${trim(m / 1000, 1)} km`
}

const ACRE_M2 = 4046.8564224

/** Area of water: "17 acres" or "6.9 ha". */
export function formatArea(m2: number, units: Units): string {
  const value = units === 'us' ? m2 / ACRE_M2 : m2 / 10_000
  return `${trim(value, value < 10 ? 1 : 0)} ${units === 'us' ? (trim(value, 1) === '1' ? 'acre' : 'acres') : 'ha'}`
}

const GROUPED = new Intl.NumberFormat('en-US')
function grouped(value: number): string {
  const rounded = value < 100 ? Math.round(value) : Math.round(value / 10) * 10
  return GROUPED.format(rounded)
}

/** Temperature: "54 °F" or "12.2 °C". */
export function formatTemperature(c: number, units: Units): string {
  return units === 'us' ? `${Math.round(c * 1.8 + 32)} °F` : `${trim(c, 1)} °C`
}

/** A difference of temperatures without its sign: "3.2 °F" or "1.7 °C". */
export function formatTemperatureDifference(c: number, units: Units): string {
  return `${trim(Math.abs(units === 'us' ? c * 1.8 : c), 1)} °${units === 'us' ? 'F' : 'C'}`
}

/** A difference of temperature, signed: "+3 °F". */
export function formatTemperatureChange(c: number, units: Units): string {
  const value = units === 'us' ? c * 1.8 : c
  const text = trim(Math.abs(value), units === 'us' ? 0 : 1)
  return `${value < 0 ? '−' : '+'}${text} °${units === 'us' ? 'F' : 'C'}`
}

/** Wind: "9 mph" or "4 m/s". */
export function formatWind(ms: number, units: Units): string {
  return units === 'us' ? `${Math.round(ms / 0.44704)} mph` : `${trim(ms, 1)} m/s`
}

/** Speed of a lure: "1.0 ft a second" or "0.3 m/s". */
export function formatSpeed(ms: number, units: Units): string {
  return units === 'us' ? `${trim(ms / FOOT_M, 1)} ft a second` : `${ms.toFixed(2)} m/s`
}

const COMMON_FRACTIONS: [number, string][] = [
  [1 / 100, '1/100'], [1 / 80, '1/80'], [1 / 64, '1/64'], [1 / 48, '1/48'], [1 / 32, '1/32'], [1 / 24, '1/24'], [1 / 16, '1/16'], [3 / 32, '3/32'],
  [1 / 8, '1/8'], [3 / 16, '3/16'], [1 / 4, '1/4'], [3 / 8, '3/8'], [1 / 2, '1/2'], [5 / 8, '5/8'], [3 / 4, '3/4'], [1, '1'],
]

/** A lure's or sinker's weight: "1/32 oz" where it is a common fraction, else ounces to two figures; "0.9 g". */
export function formatWeight(kg: number, units: Units): string {
  if (units === 'metric') return `${trim(kg * 1000, kg < 0.01 ? 2 : 1)} g`
  const oz = kg / OUNCE_KG
  const fraction = COMMON_FRACTIONS.find(([value]) => Math.abs(oz / value - 1) < 0.02)
  return `${fraction ? fraction[1] : Number(oz.toPrecision(2))} oz`
}

/** A fish's weight: "12 oz", "1 lb 4", or "540 g". */
export function formatFishWeight(kg: number, units: Units): string {
  if (units === 'metric') return kg < 1 ? `${Math.round(kg * 1000)} g` : `${kg.toFixed(2)} kg`
  const oz = Math.round(kg / OUNCE_KG)
  return oz < 16 ? `${oz} oz` : `${Math.trunc(oz / 16)} lb ${oz % 16}`
}

/** Line: its test in the US, its diameter elsewhere. */
export function formatLine(line: { testKg: number, diameterM: number }, units: Units): string {
  const mm = `${(line.diameterM * 1000).toFixed(2)} mm`
  return units === 'us' ? `${Math.round(line.testKg / POUND_KG)} lb` : mm
}

/** Seconds to count: whole from ten up, halves below. */
export function formatSeconds(seconds: number): string {
  return seconds < 9.75 ? `${trim(Math.round(seconds * 2) / 2, 1)} s` : `${Math.round(seconds)} s`
}

export function formatPercent(share: number): string {
  return `${Math.round(share * 100)} %`
}

/** Minutes of fishing: "45 min", "2 h 10". */
export function formatMinutes(minutes: number): string {
  const whole = Math.round(minutes)
  if (whole < 60) return `${whole} min`
  const rest = whole % 60
  return rest === 0 ? `${Math.trunc(whole / 60)} h` : `${Math.trunc(whole / 60)} h ${rest}`
}

const POINTS = ['N', 'NE', 'E', 'SE', 'S', 'SW', 'W', 'NW'] as const

/** Eight-point compass of a bearing in degrees clockwise from north. */
export function compassPoint(bearingDeg: number): string {
  return POINTS[Math.round((((bearingDeg % 360) + 360) % 360) / 45) % 8]!
}

/** Fixed decimals without trailing zeros. */
function trim(value: number, decimals: number): string {
  return String(Number(value.toFixed(decimals)))
}
