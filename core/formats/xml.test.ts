import { describe, expect, it } from 'vitest'
import { childOf, descendants, escapeXml, readXml, textOf, type XmlElement } from './xml'

const root = (text: string) => readXml(text) as XmlElement

describe('xml', () => {
  it('keeps elements in order, with attributes and texts, without prefixes', () => {
    const e = root('<?xml version="1.0"?><a:one x="1" y="&lt;2"><two>A</two><b:three/>tail<two>B</two></a:one>')
    expect(e).toMatchObject({ name: 'one', attributes: { x: '1', y: '<2' }, text: 'tail' })
    expect(e.children.map(c => c.name)).toEqual(['two', 'three', 'two'])
    expect(textOf(e, 'two')).toBe('A')
    expect(childOf(e, 'four')).toBeNull()
    expect(textOf(e, 'three')).toBeNull()
  })

  it('finds elements however deep', () => {
    expect(descendants(root('<a><p><p/></p><q><p/></q></a>'), 'p')).toHaveLength(3)
  })

  it('does not read numbers out of texts', () => {
    expect(textOf(root('<a><n>007</n></a>'), 'n')).toBe('007')
  })

  it('decodes the five entities and characters by number, nothing else', () => {
    expect(root('<a>&amp;&lt;&gt;&quot;&apos;&#65;&#x42;&own;&#0;&#x110000;</a>').text).toBe('&<>"\'AB&own;&#0;&#x110000;')
  })

  it('escapes what must be, and drops what XML cannot hold', () => {
    const odd = 'a<b>&"\'\u0000\u0007c\n'
    expect(escapeXml(odd)).toBe('a&lt;b&gt;&amp;&quot;&apos;c\n')
    expect(root(`<a>${escapeXml('x & y < z')}</a>`).text).toBe('x & y < z')
  })

  it('refuses a document type wherever it stands, and says where the text breaks', () => {
    expect(readXml('<a/>\n\n<!doctype a>')).toEqual({ message: expect.stringMatching(/not read/) as string, line: 3 })
    expect(readXml('<a>\n<b>\n</a>')).toMatchObject({ message: expect.stringMatching(/not well-formed/) as string, line: expect.any(Number) as number })
    expect(readXml('just words')).toMatchObject({ message: expect.any(String) as string })
  })

  it('does not follow a nesting without end', () => {
    const nested = (depth: number) => readXml(`${'<a>'.repeat(depth)}${'</a>'.repeat(depth)}`)
    expect(nested(20)).toMatchObject({ name: 'a' })
    expect(nested(300)).toMatchObject({ message: expect.stringMatching(/cannot be read/) as string })
  })
})
