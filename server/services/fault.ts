import type { FieldError } from '../../shared/validate'

/** A mistake of the caller's, with the HTTP status it answers and the field it names. */
export class Fault extends Error {
  readonly status: number
  readonly field?: string

  constructor(status: number, { field, message }: FieldError) {
    super(message)
    this.name = 'Fault'
    this.status = status
    this.field = field
  }
}

export const unknownThing = (what: string, id: string) => new Fault(404, { message: `there is no ${what} ${id}` })
