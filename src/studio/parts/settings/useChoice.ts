import { useLocalStorage } from '@vueuse/core'
import type { Ref } from 'vue'

/** How the names of all choices begin that this browser keeps; they go into a backup. */
export const CHOICES = 'lucky-twin.'
/** What is kept of this browser alone, and goes into no backup. */
export const HERE = 'lucky-twin/'

type Check<T> = (value: unknown) => value is T

/**
 * A choice of the studio that this browser keeps, for all games. What is stored may come from a backup, or from
 * anybody: if it is not what `isValid` asks for, it counts as `fallback`.
 */
export function useChoice<T>(name: string, fallback: T, isValid: Check<T>, start: string = CHOICES): Ref<T> {
  return useLocalStorage<T>(`${start}${name}`, fallback, {
    serializer: {
      read: (text) => choiceIn(text, fallback, isValid),
      write: (value) => JSON.stringify(value),
    },
  })
}

/** What a stored text says, or the fallback. */
export function choiceIn<T>(text: string, fallback: T, isValid: Check<T>): T {
  try {
    const value: unknown = JSON.parse(text)
    return isValid(value) ? value : fallback
  } catch {
    return fallback
  }
}

export const isBoolean = (value: unknown): value is boolean => typeof value === 'boolean'
export const isText = (value: unknown): value is string => typeof value === 'string'
export const isTextList = (value: unknown): value is string[] => Array.isArray(value) && value.every(isText)
export const isTexts = (value: unknown): value is Record<string, string> =>
  typeof value === 'object' && value !== null && Object.values(value).every(isText)
export const isOneOf =
  <T>(all: readonly T[]) =>
  (value: unknown): value is T =>
    all.includes(value as T)
export const isNumberIn =
  ([least, most]: readonly [number, number]) =>
  (value: unknown): value is number =>
    typeof value === 'number' && value >= least && value <= most
/** A whole number within bounds. */
export const isWithin =
  (bounds: readonly [number, number]) =>
  (value: unknown): value is number =>
    Number.isInteger(value) && isNumberIn(bounds)(value)
/** An object with these keys and no others, each as its check asks. */
export const isShape =
  <T extends object>(checks: { [Key in keyof T]: Check<T[Key]> }) =>
  (value: unknown): value is T =>
    typeof value === 'object' &&
    value !== null &&
    Object.keys(value).every((key) => Object.hasOwn(checks, key)) &&
    Object.entries(checks).every(([key, check]) => (check as Check<unknown>)((value as never)[key]))
