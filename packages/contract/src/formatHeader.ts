/** A page says by it which version of the format it reads and writes; one that says nothing is of the first build. */
export const formatHeader = 'hedrion-format'

/** Codes of refusals of pages that read another version than the server. */
export const outdated = { page: 'page.outdated', server: 'server.outdated' } as const

/** A uuid that the sender chooses for a project that it asks for: sent again with the same one, the project is made once. */
export const projectKeyHeader = 'idempotency-key'
