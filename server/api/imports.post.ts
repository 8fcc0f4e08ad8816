import { setResponseStatus } from 'h3'
import { decodeSoundings } from '../../core/formats/soundingBlob'
import { importHeaderSchema, unpackImport } from '../../shared/imports'
import { startImport } from '../services/imports'

export default route(async (context) => {
  const { header, table } = await readBytes(context.event, importHeaderSchema, (body) => {
    const { header, soundings } = unpackImport(body)
    return { header, table: decodeSoundings(soundings) }
  })
  setResponseStatus(context.event, 202)
  return startImport(chartContext(context), header, table)
})
