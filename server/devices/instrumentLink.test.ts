import { once } from 'node:events'
import { createServer, type AddressInfo, type Server, type Socket } from 'node:net'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { boatNow } from '../../core/boat/instruments'
import { nmeaSentence } from '../../core/formats/nmea'
import { InstrumentLink } from './instrumentLink'

const FIX = nmeaSentence('GPRMC,110001.00,A,4012.00000,N,08836.00000,W,5.0,90.0,240426,,')
const DEPTH = nmeaSentence('SDDPT,4.2,0.3')
let server: Server | null = null
let link: InstrumentLink | null = null

async function boat(port = 0): Promise<{ port: number, wires: Socket[] }> {
  const wires: Socket[] = []
  server = createServer(wire => wires.push(wire)).listen(port, '127.0.0.1')
  await once(server, 'listening')
  return { port: (server.address() as AddressInfo).port, wires }
}
async function sink() {
  const going = server
  server = null
  going?.close()
  if (going) await once(going, 'close')
}
afterEach(async () => {
  link?.listenAt(null)
  await sink()
})

describe('the link to the boat\'s instruments', () => {
  it('puts sentences together from whatever pieces they come in', async () => {
    const { port, wires } = await boat()
    link = new InstrumentLink()
    link.listenAt({ host: '127.0.0.1', port })
    await vi.waitFor(() => expect(wires).toHaveLength(1))
    const text = `${FIX}\r\n${DEPTH}\r\n`
    for (let i = 0; i < text.length; i += 7) {
      wires[0]!.write(text.slice(i, i + 7))
      await new Promise(wake => setTimeout(wake, 2))
    }
    await vi.waitFor(() => expect(boatNow(link!.state.heard, Date.now())).toMatchObject({ depthM: 4.5, position: { latDeg: 40.2 } }))
    expect(link.state).toMatchObject({ link: 'on', trouble: null })
  })

  it('hears garbage, of any length and without an end, and stays where it was', async () => {
    const { port, wires } = await boat()
    link = new InstrumentLink()
    link.listenAt({ host: '127.0.0.1', port })
    await vi.waitFor(() => expect(wires).toHaveLength(1))
    wires[0]!.write(`${FIX}\r\n`)
    await vi.waitFor(() => expect(link!.state.heard.position).not.toBeNull())
    const { position } = link.state.heard
    wires[0]!.write(`\u0000\u0001$$$,,,*00\r\n${FIX.replace('4012', '4912')}\r\n${'x'.repeat(200_000)}`)
    wires[0]!.write(`\r\n${DEPTH}\r\n`)
    await vi.waitFor(() => expect(link!.state.heard.depthM?.value).toBe(4.5))
    expect(link.state.heard.position).toEqual(position)
  })

  it('tries again when the boat went away, and says meanwhile why it is not on', async () => {
    const { port, wires } = await boat()
    link = new InstrumentLink()
    link.listenAt({ host: '127.0.0.1', port })
    await vi.waitFor(() => expect(wires).toHaveLength(1))
    wires[0]!.destroy()
    await sink()
    await vi.waitFor(() => expect(link!.state.link).toBe('trying'))
    const again = await boat(port)
    await vi.waitFor(() => expect(again.wires).toHaveLength(1), 8000)
    again.wires[0]!.write(`${DEPTH}\r\n`)
    await vi.waitFor(() => expect(link!.state.heard.depthM?.value).toBe(4.5))
    again.wires[0]!.destroy()
  }, 15_000)

  it('forgets one boat before it hears another', async () => {
    const { port, wires } = await boat()
    link = new InstrumentLink()
    link.listenAt({ host: '127.0.0.1', port })
    await vi.waitFor(() => expect(wires).toHaveLength(1))
    wires[0]!.write(`${FIX}\r\n`)
    await vi.waitFor(() => expect(link!.state.heard.position).not.toBeNull())
    link.listenAt(null)
    expect(link.state).toMatchObject({ link: 'off', heard: { position: null, sentences: 0 } })
    wires[0]!.destroy()
  })
})
