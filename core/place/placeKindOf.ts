import { PLACE_KINDS, placeKindName, placeKindPlural, type PlaceKind } from './kinds'

/** Words that anglers write for each kind; the longer ones first, so that "weed point" is no point. */
const WORDS: [RegExp, PlaceKind][] = [
  [/\bbrush|\bcribs?\b|\bstake ?beds?\b|\btree ?tops?\b|\battractor/i, 'brush'],
  [/\btimber|\bstumps?\b|\blaydowns?\b|\bsnags?\b/i, 'timber'],
  [/\bmooring|\bmarina\b/i, 'moorings'],
  [/\bdocks?\b|\bpiers?\b|\bjetty\b|\bboat ?house/i, 'dock'],
  [/\breeds?\b|\bstubble|\bbulrush|\blil(y|ies)\b/i, 'reedStubble'],
  [/\bweed|\bgrass\b|\bcabbage\b/i, 'weedEdge'],
  [/\briprap|\brip-rap/i, 'riprap'],
  [/\bcreek|\binflow|\bstream/i, 'creekMouth'],
  [/\bweir|\btailrace|\bspillway/i, 'weir'],
  [/\block\b/i, 'lockCut'],
  [/\bcanal|\bbridge/i, 'canal'],
  [/\bchannel|\bledge/i, 'channelBend'],
  [/\bbasin|\bhole\b/i, 'basinEdge'],
  [/\bhump|\breef|\bbar\b|\brise\b/i, 'hump'],
  [/\binside turn|\bpocket\b/i, 'insideTurn'],
  [/\bpoint\b/i, 'point'],
  [/\bflats?\b/i, 'flat'],
  [/\bbreak|\bdrop[- ]?off|\bedge\b/i, 'breakEdge'],
]

/** What kind of place some texts speak of, the first that tells; null when none does. */
export function placeKindOf(texts: readonly (string | null)[]): PlaceKind | null {
  for (const text of texts) {
    if (text === null) continue
    const plain = text.trim().toLowerCase()
    const named = PLACE_KINDS.find(k => [k.toLowerCase(), placeKindName(k), placeKindPlural(k)].includes(plain))
    const found = named ?? WORDS.find(([words]) => words.test(text))?.[1]
    if (found) return found
  }
  return null
}
