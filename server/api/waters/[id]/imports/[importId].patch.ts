import { setResponseStatus } from 'h3'
import { importChangeSchema } from '../../../../../shared/imports'
import { startUndo } from '../../../../services/imports'

export default route(async (context) => {
  const { undone } = await readJson(context.event, importChangeSchema)
  setResponseStatus(context.event, 202)
  return startUndo(chartContext(context), pathId(context.event), pathId(context.event, 'importId'), undone)
})
