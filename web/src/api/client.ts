import createClient from 'openapi-fetch'
import type { components, paths } from './schema'

/** The typed client of the server's contract. */
export const api = createClient<paths>({ baseUrl: '/' })

export type Schemas = components['schemas']

/** What a request failed of, in words for the screen, and by field where the server named fields. */
export interface Failure {
  title: string
  fields: Record<string, string[]>
  status: number
  /** What a change met: the order as someone else has left it. */
  present?: Schemas['OrderAnswer'] | Schemas['StandingOrderAnswer']
}

/** Reads the server's problem details; where there are none, says that the server is not there. */
export function failureOf(error: unknown, status: number): Failure {
  const problem = error as
    | {
        title?: string
        errors?: Record<string, string[]>
        present?: Schemas['OrderAnswer'] | Schemas['StandingOrderAnswer']
      }
    | undefined
  return {
    title: problem?.title ?? 'The server does not answer. What you typed is still here; try again in a moment.',
    fields: problem?.errors ?? {},
    status,
    present: problem?.present,
  }
}

interface Outcome<T> {
  data?: T
  error?: unknown
  response?: Response
}

/** Asks the server. Never throws: a lost server is a failure like any other. */
export async function ask<T>(request: Promise<Outcome<T>>): Promise<{ data?: T; failure?: Failure }> {
  try {
    const { data, error, response } = await request
    if (response?.ok) return { data }
    return { failure: failureOf(error, response?.status ?? 0) }
  } catch {
    return { failure: failureOf(undefined, 0) }
  }
}
