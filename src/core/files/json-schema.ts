import { z } from 'zod'

/** The JSON Schema of a file format. A key with a default may be missing in a file. */
export const jsonSchemaOf = (schema: z.ZodType): object =>
  z.toJSONSchema(schema, {
    target: 'draft-2020-12',
    unrepresentable: 'any',
    override({ zodSchema, jsonSchema }) {
      if (!(zodSchema instanceof z.ZodObject) || !jsonSchema.required) return
      const { shape } = zodSchema
      jsonSchema.required = jsonSchema.required.filter((key) => !(shape[key] instanceof z.ZodDefault))
    },
  })
