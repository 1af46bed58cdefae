/**
 * Every sentence and label the app's own source says, with where it stands: string literals, templates (with a number
 * for each gap) and the words of JSX. What is no English (class names, keys, paths, addresses) is left out.
 */
import { readdirSync, readFileSync } from 'node:fs'
import { join, relative } from 'node:path'
import ts from 'typescript'

export interface SourceText {
  readonly text: string
  readonly file: string
  readonly line: number
}

/** What is said of an element and is read by people. */
const TOLD_ATTRIBUTES =
  /^(label|title|aria-label|help|placeholder|name|legend|offer|question|said|add|aside|foot|alt|header|empty|told|note|hint|what|text|summary|caption|unit)$/
const BLOCKS =
  /^(p|li|dd|dt|td|th|h[1-6]|div|section|article|figcaption|ul|ol|dl|table|thead|tbody|tr|form|fieldset|header|footer|nav|main|aside|figure)$/

export function sentencesIn(root: string, folders: readonly string[]): readonly SourceText[] {
  return filesIn(root, folders).flatMap((path) => sentencesOf(path, root))
}

const filesIn = (root: string, folders: readonly string[]): readonly string[] =>
  folders.flatMap((folder) =>
    readdirSync(join(root, folder), { recursive: true, encoding: 'utf8' })
      .filter((name) => /\.tsx?$/.test(name) && !/\.test\.|\.d\.ts$|testing\/|schema\.ts$/.test(name))
      .map((name) => join(root, folder, name)),
  )
const sourceOf = (path: string) =>
  ts.createSourceFile(path, readFileSync(path, 'utf8'), ts.ScriptTarget.Latest, true)

function sentencesOf(path: string, root: string): readonly SourceText[] {
  const source = sourceOf(path)
  const found: SourceText[] = []
  const put = (text: string, node: ts.Node) => {
    const tidy = text.replaceAll(/\s+/g, ' ').trim()
    if (!isEnglish(tidy)) return
    const line = source.getLineAndCharacterOfPosition(node.getStart()).line + 1
    found.push({ text: tidy, file: relative(root, path), line })
  }
  const visit = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node)) return
    if (ts.isLiteralTypeNode(node) || ts.isTypeNode(node)) return
    if (ts.isJsxAttribute(node)) {
      const name = node.name.getText()
      if (!TOLD_ATTRIBUTES.test(name) && node.initializer && ts.isStringLiteral(node.initializer)) return
      if (/class|style|key|^id$|href|^to$|^d$|path/i.test(name)) return
    }
    if (ts.isJsxElement(node) || ts.isJsxFragment(node)) {
      for (const text of wordsOf(node)) put(text, node)
      // What stands inside in braces may say more.
      ts.forEachChild(node, visitInside)
      return
    }
    const text = textOf(node)
    if (text !== null) {
      put(text, node)
      if (ts.isTemplateExpression(node)) node.templateSpans.forEach(({ expression }) => visit(expression))
      return
    }
    ts.forEachChild(node, visit)
  }
  const visitInside = (node: ts.Node): void => {
    if (ts.isJsxText(node)) return
    if ((ts.isJsxElement(node) || ts.isJsxFragment(node)) && isInline(node)) {
      ts.forEachChild(node, visitInside)
      return
    }
    visit(node)
  }
  visit(source)
  return found
}

/** The words of an element, one text for each stretch between blocks. */
function wordsOf(element: ts.JsxElement | ts.JsxFragment): readonly string[] {
  const texts = ['']
  const add = (text: string) => {
    texts[texts.length - 1] += text
  }
  for (const child of element.children) {
    if (ts.isJsxText(child)) add(child.text.replaceAll(/\s*\n\s*/g, child.text.trim() === '' ? '' : ' '))
    else if (ts.isJsxExpression(child)) {
      if (!child.expression) continue
      const literal = textOf(child.expression)
      add(literal ?? '1')
    } else if (isInline(child)) {
      if (ts.isJsxElement(child) || ts.isJsxFragment(child)) add(wordsOf(child).join(' '))
      else add('1')
    } else texts.push('')
  }
  return texts.filter((text) => /[a-z]{2}/i.test(text))
}

function isInline(node: ts.Node): boolean {
  if (ts.isJsxFragment(node)) return true
  const opening = ts.isJsxElement(node) ? node.openingElement : (node as ts.JsxSelfClosingElement)
  const name = opening.tagName.getText()
  if (/d-block|d-flex/.test(opening.attributes.getText())) return false
  return /^[a-z]/.test(name) && !BLOCKS.test(name) && name !== 'button' && name !== 'label' && name !== 'br'
}

function textOf(node: ts.Node): string | null {
  if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) return node.text
  if (ts.isTemplateExpression(node))
    return node.head.text + node.templateSpans.map((span) => `1${span.literal.text}`).join('')
  return null
}

/** Words for people: at least two, or one with a capital letter, and nothing that only a machine reads. */
function isEnglish(text: string): boolean {
  if (!/[a-z]{2}/i.test(text)) return false
  if (/^[\w./:@#?=&*+-]+$/.test(text) && !/^[A-Z][a-z]+[.!?]?$/.test(text)) return false
  if (/^(M|m)[\d\s.,-]/.test(text) || /[{}<>;]\s*$|=>|===|\b(var|rgb|calc|px|translate|rotate)\(/.test(text))
    return false
  if (/^(SELECT|INSERT|UPDATE|DELETE|CREATE|ALTER)\b/.test(text)) return false
  return / /.test(text) || /^[A-Z]/.test(text)
}

const FIELD_LABELS = /^(label)$/
const LABELLED = /^(Button|th)$/

/** The labels of fields, buttons and columns that are written out, with where they stand. */
export function labelsIn(root: string, folders: readonly string[]): readonly SourceText[] {
  return filesIn(root, folders).flatMap((path) => {
    const source = sourceOf(path)
    const found: SourceText[] = []
    const visit = (node: ts.Node): void => {
      const label =
        ts.isJsxAttribute(node) && FIELD_LABELS.test(node.name.getText()) && node.initializer
          ? ts.isStringLiteral(node.initializer)
            ? node.initializer.text
            : null
          : ts.isJsxElement(node) &&
              LABELLED.test(node.openingElement.tagName.getText()) &&
              node.children.every((child) => ts.isJsxText(child))
            ? node.children.map((child) => child.getText()).join('')
            : null
      if (label !== null && /[a-z]/i.test(label)) {
        const { line } = source.getLineAndCharacterOfPosition(node.getStart())
        found.push({ text: label.replaceAll(/\s+/g, ' ').trim(), file: relative(root, path), line: line + 1 })
      }
      ts.forEachChild(node, visit)
    }
    visit(source)
    return found
  })
}
