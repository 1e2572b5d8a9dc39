// Finds the texts of the sources that a person may read: what stands in JSX, and strings that look like words of a sentence.
import fs from 'node:fs'
import path from 'node:path'
import ts from 'typescript'

/** Attributes whose strings are for the program. */
const silentAttributes = new Set([
  'className', 'd', 'data-kind', 'data-shape', 'data-testid', 'fill', 'form', 'href', 'htmlFor', 'id', 'key', 'kind', 'preserveAspectRatio', 'role',
  'shape', 'slot', 'stroke', 'strokeDasharray', 'style', 'to', 'transform', 'type', 'viewBox', 'xmlns',
]) // prettier-ignore
/** Attributes that are read aloud or shown, whatever their text looks like. */
const visibleAttributes = new Set([
  'alt',
  'aria-label',
  'heading',
  'label',
  'note',
  'placeholder',
  'reference',
  'title',
  'words',
])
/** Calls whose texts go to people who write programs. */
const silentCalls = new Set([
  'assert',
  'present',
  'query',
  'unreachable',
  'matchMedia',
  'querySelector',
  'querySelectorAll',
  'closest',
])

const nameOf = (call) =>
  ts.isIdentifier(call.expression)
    ? call.expression.text
    : ts.isPropertyAccessExpression(call.expression)
      ? call.expression.name.text
      : ''

/** Texts of a template, with `{}` where a value is put in. */
const ofTemplate = (node) => node.head.text + node.templateSpans.map((span) => `{}${span.literal.text}`).join('')

const isText = (node) =>
  ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node) || ts.isTemplateExpression(node)

/** Why a string is not for people: its place in the program. */
function isSilent(node) {
  const { parent } = node
  if (!parent) return true
  if (ts.isImportDeclaration(parent) || ts.isExportDeclaration(parent) || ts.isExternalModuleReference(parent))
    return true
  if (ts.isLiteralTypeNode(parent) || ts.isElementAccessExpression(parent) || ts.isCaseClause(parent)) return true
  if (ts.isTaggedTemplateExpression(parent)) return true
  if (ts.isPropertyAssignment(parent) && parent.name === node) return true
  if (ts.isPropertySignature(parent) || ts.isEnumMember(parent)) return true
  if (ts.isBinaryExpression(parent) && /^[!=]==?$/.test(parent.operatorToken.getText())) return true
  if (ts.isJsxAttribute(parent)) return silentAttributes.has(parent.name.getText())
  if (ts.isNewExpression(parent) && /Error$/.test(parent.expression.getText())) return true
  if (ts.isCallExpression(parent)) return silentCalls.has(nameOf(parent))
  // of a pair of a value and its words the value
  if (ts.isArrayLiteralExpression(parent) && parent.elements.length === 2 && parent.elements.every(isText))
    return parent.elements[0] === node
  return false
}

/** Whether a text has the look of words: two of them beside each other, or one that begins like a sentence. */
const looksSpoken = (text) =>
  /[A-Za-z’]{2,}[,;:.]? [a-z(“]/.test(text) || /^[“A-Z][a-z]+/.test(text) || /[a-z]\.$/.test(text)

/** Every visible text of a file of TypeScript: `{ file, line, text, from: 'jsx' | 'attribute' | 'string', attribute? }`. */
export function visibleStrings(root, file) {
  const source = fs.readFileSync(path.join(root, file), 'utf8')
  const tree = ts.createSourceFile(
    file,
    source,
    ts.ScriptTarget.Latest,
    true,
    file.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS,
  )
  const found = []
  const add = (node, text, from, more = {}) => {
    const words = text.replace(/\s+/g, ' ').trim()
    if (!/[A-Za-z]/.test(words)) return
    found.push({ file, line: tree.getLineAndCharacterOfPosition(node.getStart()).line + 1, text: words, from, ...more })
  }
  const visit = (node) => {
    if (ts.isJsxText(node)) add(node, node.text, 'jsx')
    else if (isText(node)) {
      const text = ts.isTemplateExpression(node) ? ofTemplate(node) : node.text
      const attribute = ts.isJsxAttribute(node.parent) ? node.parent.name.getText() : undefined
      if (!isSilent(node)) {
        if (attribute && visibleAttributes.has(attribute)) add(node, text, 'attribute', { attribute })
        else if (looksSpoken(text)) add(node, text, 'string')
        else if (wordOf(node)) add(node, text, 'string')
      }
    }
    ts.forEachChild(node, visit)
  }
  visit(tree)
  return found
}

/** A single small word is for people where it is a value under a name of one, or stands in JSX. */
const spokenNames = /^(label|title|text|words?|name|heading|note|unit|sentence|of|said|what|plural|column)$/
function wordOf(node) {
  const { parent } = node
  if (ts.isPropertyAssignment(parent)) return spokenNames.test(parent.name.getText())
  if (ts.isJsxExpression(parent)) return !ts.isJsxAttribute(parent.parent)
  if (ts.isConditionalExpression(parent)) return wordOf(parent)
  return false
}

/**
 * Elements whose accessible name does not contain their visible label (WCAG 2.5.3), as far as both stand in the source:
 * `{ file, line, name, label }`.
 */
export function namesApart(root, file) {
  if (!file.endsWith('.tsx')) return []
  const source = fs.readFileSync(path.join(root, file), 'utf8')
  const tree = ts.createSourceFile(file, source, ts.ScriptTarget.Latest, true, ts.ScriptKind.TSX)
  const found = []
  const visit = (node) => {
    if (ts.isJsxElement(node)) {
      const attribute = node.openingElement.attributes.properties.find(
        (one) => ts.isJsxAttribute(one) && one.name.getText() === 'aria-label',
      )
      const value =
        attribute?.initializer &&
        (ts.isJsxExpression(attribute.initializer) ? attribute.initializer.expression : attribute.initializer)
      const texts = node.children.filter((child) => !ts.isJsxText(child) || child.text.trim() !== '')
      if (value && isText(value) && texts.length > 0 && texts.every(ts.isJsxText)) {
        const name = ts.isTemplateExpression(value) ? ofTemplate(value) : value.text
        const label = texts.map(({ text }) => text.replace(/\s+/g, ' ').trim()).join(' ')
        if (/[A-Za-z]/.test(label) && !name.toLowerCase().includes(label.toLowerCase()))
          found.push({ file, line: tree.getLineAndCharacterOfPosition(node.getStart()).line + 1, name, label })
      }
    }
    ts.forEachChild(node, visit)
  }
  visit(tree)
  return found
}
