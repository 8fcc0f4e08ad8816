import { execFileSync } from 'node:child_process'
import { ESLint } from 'eslint'
import { describe, expect, it } from 'vitest'

describe('core', () => {
  it('loads without a build and exports the names that are checked from outside', () => {
    const names = execFileSync('npx', ['tsx', '-e', 'import(\'./core/index.ts\').then(core => console.log(Object.keys(core).join(" ")))'], { encoding: 'utf8' }).trim().split(' ')
    expect(names).toEqual(expect.arrayContaining([
      'sinkSpeed', 'fallTime', 'calibrateDragArea', 'lineShape', 'floatSetting', 'floatLoad', 'holdDepthSpeed', 'swingCast', 'lineWindLoad', 'chooseJigWeight',
      'maxPlantDepth', 'lightAtDepth', 'waveHeight', 'standardWeight', 'relativeWeight', 'estimateWeight', 'sizeStructure', 'heatExchange', 'stepTemperature', 'phaseProbabilities', 'buildDepthGrid', 'fetchField', 'contourLines',
    ]))
  }, 30_000)

  it('may not import outward, read the clock or roll dice: the linter sees to it', async () => {
    const eslint = new ESLint()
    const faults = async (code: string) => (await eslint.lintText(code, { filePath: 'core/season/phases.ts' }))[0]!.messages.filter(m => /core\/ (is pure|takes)/.test(m.message)).length
    for (const code of [
      'import { ref } from \'vue\'\nexport const a = ref(1)\n', 'import Joi from \'joi\'\nexport const a = Joi\n', 'import { route } from \'../../server/utils/route\'\nexport const a = route\n',
      'export const a = () => import(\'drizzle-orm\')\n', 'import { readFileSync } from \'node:fs\'\nexport const a = readFileSync\n',
      'export const a = () => Math.random()\n', 'export const a = () => Date.now()\n', 'export const a = () => new Date()\n',
      'import { DateTime } from \'luxon\'\nexport const a = () => DateTime.now()\n',
    ]) expect(await faults(code), code).toBe(1)
    expect(await faults('import { getTimes } from \'suncalc\'\nexport const a = getTimes\n')).toBe(0)
  }, 60_000)
})
