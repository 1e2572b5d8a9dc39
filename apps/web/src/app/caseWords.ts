/** The name of a case beside that of its action: "imposed, category C" beside "Imposed" reads "category C". */
export const withoutAction = (name: string, action: string): string =>
  name.toLowerCase().startsWith(`${action.toLowerCase()}, `) ? name.slice(action.length + 2) : name
