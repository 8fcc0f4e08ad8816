import { describe, expect, it } from 'vitest'
import { partAges, partAt, partsOfWater } from './takeParts'

const id = '0192d3a0-0000-7000-8000-000000000001'

describe('what goes along with a water', () => {
  it('knows every part it asks for by its path', () => {
    for (const part of partsOfWater(id)) expect(partAt(part.path)?.name, part.path).toBe(part.name)
    expect(partAt(`waters/${id}/grid`)).toEqual({ name: 'chart', waterId: id })
    expect(partAt('trips/0192d3a0-0000-7000-8000-000000000002')).toEqual({ name: 'log', waterId: null })
  })

  it('leaves out what belongs at the desk', () => {
    for (const path of [`waters/${id}/imports`, 'jobs/x', `waters/${id}/weather/refresh`, `waters/${id}/places/1/photos`, 'up']) expect(partAt(path), path).toBeNull()
  })

  it('is as old as its oldest answer, and missing when one is', () => {
    const saved = new Map(partsOfWater(id).map(({ path }, i) => [path, 1000 + i]))
    const ages = partAges(id, saved)
    expect(ages.chart).toBe(1000)
    expect(ages.places).toBe(1003)
    saved.delete(`waters/${id}/weather/series`)
    expect(partAges(id, saved)).toEqual({ ...ages, forecast: null })
  })
})
