import type Joi from 'joi'

export interface FieldError {
  /** path of the field, such as "entries[2].body.topM"; absent when the whole is wrong */
  field?: string
  message: string
}

const OPTIONS: Joi.ValidationOptions = {
  presence: 'required',
  convert: false,
  allowUnknown: false,
  abortEarly: true,
  errors: { wrap: { label: '' } },
}

/** Checks `input` against a schema: the value, or the first error with the field it names. Unknown fields are errors. */
export function check<T>(schema: Joi.Schema<T>, input: unknown): { ok: true, value: T } | { ok: false, error: FieldError } {
  const { value, error } = schema.validate(input, OPTIONS)
  if (!error) return { ok: true, value: value as T }
  const detail = error.details[0]!
  const field = pathOf(detail.path)
  return { ok: false, error: field === '' ? { message: detail.message } : { field, message: detail.message } }
}

function pathOf(path: (string | number)[]): string {
  return path.reduce<string>((text, part) => (typeof part === 'number' ? `${text}[${part}]` : text === '' ? part : `${text}.${part}`), '')
}
