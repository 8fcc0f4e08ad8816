import { formatDepth, formatLength, formatPercent, formatSetting, formatWeight } from '../units/format'
import type { Family } from './families'
import { floatReasons, type RigReason } from './rigReasons'
import type { RigPart, TieContext, TiedCore } from './tieOn'

/** Longest rod that is assumed where the box has none, m. */
const ROD_M = 2.13

/** A float rig of the box: head, shot, float and stop as `floatRig` worked them out; fixed floats only as deep as the rod is long. */
export function tieFloat(family: Family, { rig, box, windMS, units }: TieContext): TiedCore {
  const { float, baitDepthM } = rig
  const body = box.bodies.find(b => b.id === rig.bodyId)!
  const rodM = Math.max(ROD_M, ...(box.rods ?? []).map(r => r.lengthM))
  const fixed = family.id === 'fixedFloat'
  const tooDeep = fixed && float.setting.stopLengthM > rodM
  const hook = box.hooks?.find(h => h.name.includes('4'))
  const parts: RigPart[] = [
    { part: 'head', what: `${formatWeight(float.headKg, units)} lead`, have: true },
    { part: 'body', what: `${formatLength(body.lengthM, units)}${body.colour ? `, ${body.colour}` : ''}`, have: true },
    { part: 'or hook', what: `#4 with a minnow hooked through the back`, have: hook !== undefined },
    { part: 'shot', what: float.shotKg > 0 ? formatWeight(float.shotKg, units) : 'none', have: true },
    { part: 'float', what: float.float ? `keeps ${formatPercent(float.float.reserveShare)} of its lift` : 'none carries this', have: float.float !== null },
  ]
  const reasons: RigReason[] = tooDeep
    ? [{ tone: 'careful', text: `A float that is fixed at ${formatDepth(float.setting.stopLengthM, units)} cannot be cast with a ${formatDepth(rodM, units)} rod: let it slip on a stop.` }, ...floatReasons(rig, windMS, units)]
    : floatReasons(rig, windMS, units)
  return {
    parts, reasons, figures: [{ label: fixed ? 'fix the float at' : 'set the stop at', value: formatSetting(float.setting.stopLengthM, units) }, { label: 'float keeps back', value: float.float ? formatPercent(float.float.reserveShare) : 'nothing' }],
    work: rig.mood === 'torpid' || rig.mood === 'slow' ? 'Leave it alone; a minnow’s weight tells that it is still on. Twitch once when nothing has come.' : 'Let it settle, two small twitches, leave it; strike when it slides, not when it bobs.',
    scene: { mode: 'float', depthM: baitDepthM },
  }
}
