// The package's own types ask for those of Node, which the core does not have.
declare module 'dxf-parser' {
  // as the package has it
  // oxlint-disable-next-line import/no-default-export
  export default class DxfParser {
    /** Answers what the text holds, or throws. */
    parseSync(text: string): unknown
  }
}
