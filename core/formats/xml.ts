import { XMLParser, XMLValidator } from 'fast-xml-parser'
import { lineOf } from './readResult'

/** An element: its name without prefix, attributes, own text, and elements within, in the file's order. */
export interface XmlElement {
  name: string
  attributes: Record<string, string>
  text: string
  children: XmlElement[]
}

const MOST_DEPTH = 60

/**
 * The elements of an XML text. Document types and entities of the file's own are refused, never expanded.
 * Gives a sentence and a line instead where the text is not well-formed.
 */
export function readXml(text: string): XmlElement | { message: string, line: number | null } {
  const doctype = /<!(DOCTYPE|ENTITY)/i.exec(text)
  if (doctype) return { message: 'the file defines a document type or entities, which are not read', line: lineOf(text, doctype.index) }
  const verdict = XMLValidator.validate(text)
  if (verdict !== true) return { message: `this is not well-formed XML: ${verdict.err.msg}`, line: verdict.err.line }
  let nodes: unknown
  try {
    nodes = new XMLParser({ preserveOrder: true, ignoreAttributes: false, attributeNamePrefix: '', parseTagValue: false, parseAttributeValue: false, processEntities: false, removeNSPrefix: true, trimValues: true }).parse(text)
  }
  catch (error) {
    return { message: `this XML cannot be read: ${error instanceof Error ? error.message : String(error)}`, line: null }
  }
  const roots = (nodes as RawNode[]).map(n => toElement(n, 0)).filter(e => e !== null)
  const root = roots.find(e => !e.name.startsWith('?'))
  return root ?? { message: 'the file has no element', line: null }
}

type RawNode = Record<string, RawNode[] | Record<string, string> | string>

function toElement(node: RawNode, depth: number): XmlElement | null {
  const name = Object.keys(node).find(key => key !== ':@' && key !== '#text')
  if (name === undefined || depth > MOST_DEPTH) return null
  const inner = Array.isArray(node[name]) ? node[name] : []
  const attributes = typeof node[':@'] === 'object' && !Array.isArray(node[':@']) ? node[':@'] : {}
  return {
    name,
    attributes: Object.fromEntries(Object.entries(attributes).map(([k, v]) => [k, unescape(v)])),
    text: unescape(inner.map(n => (typeof n['#text'] === 'string' ? n['#text'] : '')).join('')),
    children: inner.map(n => toElement(n, depth + 1)).filter(e => e !== null),
  }
}

const NAMED: Record<string, string> = { amp: '&', lt: '<', gt: '>', quot: '"', apos: '\'' }

/** XML's five own entities and character numbers; any other stays as it stands. */
function unescape(text: string): string {
  return text.replace(/&(?:#(\d{1,7})|#x([\da-f]{1,6})|(amp|lt|gt|quot|apos));/gi, (whole, dec?: string, hex?: string, named?: string) => {
    if (named !== undefined) return NAMED[named.toLowerCase()]!
    const code = dec === undefined ? Number.parseInt(hex!, 16) : Number(dec)
    return code > 0 && code <= 0x10FFFF ? String.fromCodePoint(code) : whole
  })
}

export function escapeXml(text: string): string {
  return text.replace(/[&<>"']/g, c => `&${Object.keys(NAMED).find(k => NAMED[k] === c)!};`)
    // eslint-disable-next-line no-control-regex -- these characters have no place in XML 1.0, escaped or not
    .replace(/[\u0000-\u0008\u000B\u000C\u000E-\u001F]/g, '')
}

export const childOf = (e: XmlElement, name: string) => e.children.find(c => c.name === name) ?? null
export const textOf = (e: XmlElement, name: string) => childOf(e, name)?.text.trim() || null

/** Every element of that name, however deep, in order. */
export function descendants(e: XmlElement, name: string): XmlElement[] {
  return e.children.flatMap(c => (c.name === name ? [c, ...descendants(c, name)] : descendants(c, name)))
}
