import { describe, expect, it } from 'vitest'
import { readCsvTackle, writeCsvTackle, type TackleRow } from './csvTackle'

const box: TackleRow[] = [
  { kind: 'head', name: '1/32 oz, "round"', carried: true, stock: 4, attributes: { massKg: 0.000885922597, densityKgM3: 10773, metal: 'lead' } },
  { kind: 'body', name: 'Slim', carried: false, stock: null, attributes: { lengthM: 0.0381, depthM: 0.007, colour: 'pearl; white' } },
]

describe('a box as a table', () => {
  it('comes back as it was written', () => {
    expect(readCsvTackle(writeCsvTackle(box))).toEqual({ items: box, skipped: 0, issues: [] })
  })
  it('is read row by row, what is wrong by its line', () => {
    const { items, skipped, issues } = readCsvTackle('Kind,Name,massKg,stock\nshot,#5,0.00026,\nshot,#4,heavy,2\n,no kind,1,\nshot,#3,0.0006,-1\n')
    expect(items).toEqual([{ kind: 'shot', name: '#5', carried: true, stock: null, attributes: { massKg: 0.00026 } }])
    expect(skipped).toBe(3)
    expect(issues.map(i => i.line)).toEqual([3, 4, 5])
    expect(issues[0]!.message).toBe('massKg is no number')
  })
  it('without its heading, or empty, is refused with the reason', () => {
    expect(readCsvTackle('a,b\n1,2').issues[0]!.message).toMatch(/kind and name/)
    expect(readCsvTackle('').issues[0]!.message).toMatch(/empty/)
    expect(readCsvTackle('kind,name').issues[0]!.message).toMatch(/no row/)
  })
})
