// Draws the installed app's icons from public/icon.svg: node scripts/icons.mjs
import { readFileSync } from 'node:fs'
import sharp from 'sharp'

const svg = readFileSync('public/icon.svg')
const PAPER = '#FFFAEF'
/** An icon cut to a circle keeps its drawing inside the middle four fifths. */
const SAFE = 0.7

for (const size of [192, 512]) await sharp(svg, { density: 1200 }).resize(size).png().toFile(`public/icon-${size}.png`)
const inner = await sharp(svg, { density: 1200 }).resize(Math.round(512 * SAFE)).png().toBuffer()
await sharp({ create: { width: 512, height: 512, channels: 3, background: PAPER } }).composite([{ input: inner }]).png().toFile('public/icon-masked-512.png')
