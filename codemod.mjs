import ts from 'typescript'
import { readFileSync, writeFileSync, existsSync } from 'node:fs'
import { relative, dirname } from 'node:path'
const CATALOGUE = JSON.parse(readFileSync('/tmp/w/cat/map.json', 'utf8')) // [regex, catalogue]
const DRY = process.argv.includes('--dry')
const only = process.argv.find(a => a.startsWith('only='))?.slice(5)
const cfg = ts.getParsedCommandLineOfConfigFile('web/tsconfig.json', {}, { ...ts.sys, onUnRecoverableConfigFileDiagnostic: d => { throw d } })
const program = ts.createProgram(cfg.fileNames, cfg.options)
const checker = program.getTypeChecker()
const cats = {} // name -> {text->key, key->text}
const catOf = name => cats[name] ??= load(name)
function load(name) {
  const c = { keys: new Map(), texts: new Map() }
  const f = `wording/src/catalogue/${name}.ts`
  if (existsSync(f)) {
    const sf = ts.createSourceFile(f, readFileSync(f, 'utf8'), 99, true)
    const walk = n => { if (ts.isPropertyAssignment(n) && ts.isStringLiteralLike(n.initializer)) { c.keys.set(n.name.text, n.initializer.text); if (!c.texts.has(n.initializer.text)) c.texts.set(n.initializer.text, n.name.text) } ts.forEachChild(n, walk) }
    walk(sf)
    c.existing = c.keys.size
  }
  return c
}
const STOP = new Set(['the','a','an','is','are','it','of','to','and','in','that','has','be','this','was'])
function keyFor(cat, text, argNames) {
  if (cat.texts.has(text)) return cat.texts.get(text)
  const plain = text.replace(/\{(\w+), (plural|select),/g, ' ').replace(/\b(one|other|true|false) \{/g,' ').replace(/\{(\w+)(, number)?\}/g, ' ').replace(/[’']/g, '')
  let words = (plain.match(/[A-Za-z0-9]+/g) ?? [])
  if (words.filter(w => /[a-z]{2}/i.test(w)).length < 2) words = [...words, ...argNames]
  const strong = words.filter(w => !STOP.has(w.toLowerCase()))
  if (strong.length >= 2) words = strong
  const camel = n => words.slice(0, n).map((w, i) => { w = w.toLowerCase(); return i ? w[0].toUpperCase() + w.slice(1) : w }).join('').replace(/^(\d)/, 'n$1')
  let n = Math.min(4, words.length), key = camel(n) || 'text'
  while (key.length > 34 && n > 1) key = camel(--n)
  while (cat.keys.has(key) && n < words.length && n < 8) key = camel(++n)
  const base = key; let i = 2
  while (cat.keys.has(key)) key = base + i++
  cat.keys.set(key, text); cat.texts.set(text, key)
  return key
}
const esc = t => t.replace(/'/g, "''").replace(/[{}]/g, m => `'${m}'`)
const hasWord = t => /[A-Za-z]{2}/.test(t.replace(/\{[^}]*\}/g, ''))
const isLit = n => ts.isStringLiteral(n) || ts.isNoSubstitutionTemplateLiteral(n)
function isPlainValue(type) {
  if (type.isUnion()) return type.types.every(isPlainValue)
  return !!(type.flags & (ts.TypeFlags.StringLike | ts.TypeFlags.NumberLike))
}
function unwrap(n) { while (ts.isParenthesizedExpression(n)) n = n.expression; return n }
function argName(e) {
  e = unwrap(e)
  if (ts.isIdentifier(e)) return e.text
  if (ts.isPropertyAccessExpression(e)) { const n = e.name.text; if (n === 'length') return argName(e.expression) === 'value' ? 'count' : argName(e.expression); if (['name','code','text','value','id'].includes(n)) { const o = argName(e.expression); return ['value','name'].includes(o) ? n : n === 'name' || n==='value' ? o : n === 'code' ? o === 'code' ? 'code' : 'code' : n } return n }
  if (ts.isCallExpression(e)) {
    const callee = e.expression
    if (ts.isPropertyAccessExpression(callee)) { if (['toFixed','toLowerCase','toUpperCase','trim','join','toString','replace','slice'].includes(callee.name.text)) return argName(callee.expression); return callee.name.text }
    if (ts.isIdentifier(callee)) { if (['String','Number'].includes(callee.text) && e.arguments[0]) return argName(e.arguments[0]); return ({ clock: 'time', timeOfDay: 'time', degrees: 'degrees', countWord: 'count', dayName: 'day', weekdayName: 'day', shortDate: 'date', span: 'span', leftSpan: 'left' })[callee.text] ?? callee.text }
    return 'value'
  }
  if (ts.isElementAccessExpression(e)) return argName(e.expression)
  if (ts.isNonNullExpression(e) || ts.isAsExpression(e)) return argName(e.expression)
  if (ts.isBinaryExpression(e)) { const l = argName(e.left); return l === 'value' ? argName(e.right) : l }
  if (ts.isTemplateExpression(e)) return argName(e.templateSpans[0].expression)
  return 'value'
}
class Msg {
  constructor(rewrite) { this.args = new Map(); this.rewrite = rewrite } // name -> source
  arg(name, source) {
    name = name.replace(/^\$/, '') || 'value'
    let n = name, i = 2
    while (this.args.has(n) && this.args.get(n) !== source) n = name + i++
    this.args.set(n, source); return n
  }
  // returns ICU text, or null when it cannot be
  of(e, top = false) {
    e = unwrap(e)
    if (isLit(e)) return esc(e.text)
    if (ts.isTemplateExpression(e)) {
      let out = esc(e.head.text)
      for (const s of e.templateSpans) { const m = this.of(s.expression); if (m === null) return null; out += m + esc(s.literal.text) }
      return out
    }
    if (ts.isBinaryExpression(e) && e.operatorToken.kind === ts.SyntaxKind.PlusToken && (checker.getTypeAtLocation(e).flags & ts.TypeFlags.StringLike)) {
      const l = this.of(e.left), r = this.of(e.right); return l === null || r === null ? null : l + r
    }
    if (ts.isConditionalExpression(e)) {
      const simple = x => { x = unwrap(x); return isLit(x) || ts.isTemplateExpression(x) || (ts.isConditionalExpression(x) && simple(x.whenTrue) && simple(x.whenFalse)) }
      if (simple(e.whenTrue) && simple(e.whenFalse)) {
        const a = this.of(e.whenTrue), b = this.of(e.whenFalse)
        if (a === null || b === null) return null
        const c = unwrap(e.condition)
        if (ts.isBinaryExpression(c) && /^[!=]==$/.test(c.operatorToken.getText()) && c.right.getText() === '1' && (checker.getTypeAtLocation(c.left).flags & ts.TypeFlags.NumberLike)) {
          const n = this.arg(argName(c.left), this.rewrite(c.left))
          return c.operatorToken.getText() === '===' ? `{${n}, plural, one {${a}} other {${b}}}` : `{${n}, plural, one {${b}} other {${a}}}`
        }
        const n = this.arg(condName(c), `String(${this.rewrite(c)})`)
        if (!(checker.getTypeAtLocation(c).flags & ts.TypeFlags.BooleanLike) && !(checker.getTypeAtLocation(c).isUnion() && checker.getTypeAtLocation(c).types.every(t=>t.flags&ts.TypeFlags.BooleanLike))) { this.args.set(n, `String(Boolean(${this.rewrite(c)}))`) }
        return `{${n}, select, true {${a}} other {${b}}}`
      }
    }
    if (!isPlainValue(checker.getTypeAtLocation(e))) return null
    return `{${this.arg(argName(e), this.rewrite(e))}}`
  }
}
function condName(c) {
  if (ts.isPrefixUnaryExpression(c)) return condName(unwrap(c.operand))
  if (ts.isBinaryExpression(c)) { const r = unwrap(c.right); if (isLit(r) && /^[a-z]+$/i.test(r.text)) return 'is' + r.text[0].toUpperCase() + r.text.slice(1); return condName(unwrap(c.left)) === 'flag' ? 'flag' : /^(has|is)[A-Z]/.test(condName(unwrap(c.left))) ? condName(unwrap(c.left)) : 'has' + condName(unwrap(c.left))[0].toUpperCase() + condName(unwrap(c.left)).slice(1) }
  const n = argName(c); return n === 'value' ? 'flag' : n
}
const BAD_ATTR = /^(className|classes|look|variant|size|color|type|role|id|key|to|href|name|place|htmlFor|autoComplete|inputMode|d|points|transform|scope|align|sx|style|viewBox|fill|stroke|action|method|accept|src|rel|target|download|format|data-.*|aria-live|aria-labelledby|aria-describedby|aria-controls|aria-haspopup|scheme|kind|field|tag|component|slot|pattern|textAnchor|dominantBaseline|strokeDasharray|file|fileName|test.*|slotProps|layer|mode|state|standing|lang)$/
const GOOD_ATTR = /^(aria-label|label|title|alt|placeholder|why|sentence|says|hint|note|question|caption|heading|summary|unit|text|empty|what|done|first|second|helper|words?|message|legend|head|detail|aria-description|aria-valuetext|confirm)$/
const CSS_PROP = /^(grid.*|transform|background.*|width|height|left|right|top|bottom|inset.*|margin.*|padding.*|flex.*|font.*|color|border.*|display|position|overflow.*|transition|animation|content|cursor|mask.*|clipPath|boxShadow|outline.*)$/
function attrAncestor(n) { for (let p = n.parent; p; p = p.parent) { if (ts.isJsxAttribute(p)) return p; if (ts.isJsxElement(p) || ts.isJsxSelfClosingElement(p) || ts.isFunctionLike(p)) return null } return null }
function codeContext(n) {
  const ctx = checker.getContextualType(n)
  if (!ctx) return false
  const has = t => t.isUnion() ? t.types.some(has) : !!(t.flags & (ts.TypeFlags.StringLiteral | ts.TypeFlags.TemplateLiteral))
  if (has(ctx)) return true
  if (ctx.flags & ts.TypeFlags.TypeParameter) return false
  return false
}
function skipPlace(n) {
  const p = n.parent
  if (!p) return true
  if (ts.isImportDeclaration(p) || ts.isExportDeclaration(p) || ts.isLiteralTypeNode(p) || ts.isExternalModuleReference(p)) return true
  if (ts.isPropertyAssignment(p) && p.name === n) return true
  if (ts.isElementAccessExpression(p) && p.argumentExpression === n) return true
  if (ts.isCaseClause(p)) return true
  if (ts.isBinaryExpression(p) && /^(===|!==|==|!=|in)$/.test(p.operatorToken.getText())) return true
  let q = n; while (ts.isConditionalExpression(q.parent) || ts.isParenthesizedExpression(q.parent) || (ts.isBinaryExpression(q.parent) && /^(\?\?|\|\||&&)$/.test(q.parent.operatorToken.getText()))) q = q.parent
  const c = q.parent
  if (ts.isCallExpression(c) || ts.isNewExpression(c)) {
    const name = ts.isPropertyAccessExpression(c.expression) ? c.expression.name.text : c.expression.getText()
    if (/^(clsx|Error|TypeError|RangeError|speaks|say|useSay|matchMedia|querySelector|querySelectorAll|closest|getItem|setItem|removeItem|getElementById|addEventListener|removeEventListener|navigate|createElement|setAttribute|getAttribute|split|join|startsWith|endsWith|includes|replace|replaceAll|match|test|RegExp|Intl\..*|DateTimeFormat|fetch|import|t|createSlice|createAsyncThunk|matches|set|get|has|on|emit|postMessage|Worker|URL|indexOf|localeCompare|format|lazy|useId|toLocaleString|displayName|getComputedStyle|getPropertyValue|appendChild|log|warn|debug)$/.test(name)) return true
  }
  const attr = attrAncestor(n)
  if (attr && BAD_ATTR.test(attr.name.getText())) return true
  for (let a = n.parent; a && !ts.isStatement(a); a = a.parent) {
    if (ts.isPropertyAssignment(a) && CSS_PROP.test(a.name.getText())) return true
    if (ts.isPropertyAssignment(a) && /^(id|key|to|href|path|type|kind|url|className|role|name_)$/.test(a.name.getText()) && a.initializer === q) return true
    if (ts.isVariableDeclaration(a) && /^(id|key|path|url|className|href|to)$/i.test(a.name.getText())) return true
    if (ts.isCallExpression(a)) break
    if (ts.isThrowStatement(a)) return true
  }
  if (ts.isThrowStatement(n.parent?.parent ?? n)) return true
  return false
}
const looksVisible = t => !/^userSpace|Variable|^logged-thermal |^[/.#]|^https?:|=>|var\(--|^\d+(px|fr|%)|calc\(|repeat\(|\dpx|^[a-z]+:[a-z]|^\[|^&|^@|\(max-width|\(min-width|\(prefers|minmax|^translate|^rotate|^lt[.-]/.test(t.trim())
const strVisible = t => looksVisible(t) && (/[A-Z][a-z]+/.test(t) && !/^[A-Z][a-zA-Z]*$/.test(t.match(/^\w*[a-z][A-Z]\w*$/)?.[0] ?? ' ') || /[a-z°]+[,.;:]? [a-z]+/i.test(t) || /[a-z]{2,} $|^ [a-z]{2,}|^, /.test(t))
const report = []
let changedFiles = 0
for (const sf of program.getSourceFiles()) {
  const f = relative(process.cwd(), sf.fileName)
  if (!f.startsWith('web/src/') || /\/test\/|\.test\.|Gallery|\.d\.ts$/.test(f)) continue
  if (only && !f.includes(only)) continue
  const rule = CATALOGUE.find(([re]) => new RegExp(re).test(f))
  if (!rule) { report.push('NOMAP ' + f); continue }
  const src = sf.text
  const existing = /useSay\((\w+)\)/.exec(src)?.[1] ?? /speaks\((\w+)\)/.exec(src)?.[1]
  const name = existing ? existing.replace(/Messages$/, '') : rule[1]
  const cat = catOf(name)
  let used = 0
  const call = (icu, m) => {
    used++
    const key = keyFor(cat, icu, [...m.args.keys()])
    const args = [...m.args].map(([k, v]) => (k === v ? k : `${k}: ${v}`)).join(', ')
    return args ? `say('${key}', { ${args} })` : `say('${key}')`
  }
  // source of a node with inner replacements
  const rewrite = n => {
    const edits = []
    collect(n, edits, true)
    return apply(n.getStart(), n.end, edits)
  }
  const apply = (start, end, edits) => {
    edits.sort((a, b) => a[0] - b[0]); let out = '', at = start
    for (const [s, e, t] of edits) { out += src.slice(at, s) + t; at = e }
    return out + src.slice(at, end)
  }
  const visibleCtx = n => { // JSX child expression or good attribute
    let q = n; while (ts.isConditionalExpression(q.parent) || ts.isParenthesizedExpression(q.parent) || (ts.isBinaryExpression(q.parent) && /^(\?\?|\|\||&&)$/.test(q.parent.operatorToken.getText()) && q.parent.right === q)) q = q.parent
    const p = q.parent
    if (ts.isJsxExpression(p)) { if (ts.isJsxAttribute(p.parent)) return GOOD_ATTR.test(p.parent.name.getText()); return true }
    return false
  }
  function collect(n, edits, self = false) {
    if (ts.isImportDeclaration(n) || ts.isTypeNode(n)) return
    if (ts.isJsxElement(n) || ts.isJsxFragment(n)) {
      if (ts.isJsxElement(n)) collect(n.openingElement, edits)
      segments(n.children, edits)
      return
    }
    if (ts.isJsxAttribute(n) && n.initializer && ts.isStringLiteral(n.initializer)) {
      const a = n.name.getText(), t = n.initializer.text
      if (BAD_ATTR.test(a) || codeContext(n.initializer)) return
      if ((GOOD_ATTR.test(a) && /[A-Za-z]{2}/.test(t)) || strVisible(t)) edits.push([n.initializer.getStart(), n.initializer.end, `{${call(esc(t), new Msg(rewrite))}}`])
      return
    }
    if (ts.isTemplateExpression(n)) {
      const text = [n.head.text, ...n.templateSpans.map(s => s.literal.text)].join('¤')
      const wordy = looksVisible(text) && (/[a-z]{2,}[,.;:’°]? |[A-Z][a-z]+| [a-z]{2,}/.test(text))
      if (wordy && !skipPlace(n) && !codeContext(n) && !ts.isTaggedTemplateExpression(n.parent)) {
        const m = new Msg(rewrite); const icu = m.of(n)
        if (icu !== null) { edits.push([n.getStart(), n.end, call(icu, m)]); return }
        report.push(`SKIP-TPL ${f}: ${n.getText().slice(0, 100)}`)
      }
    }
    if (isLit(n) && !ts.isJsxAttribute(n.parent)) {
      const t = n.text
      if ((strVisible(t) || (looksVisible(t) && visibleCtx(n) && /[a-z]{2}/i.test(t))) && !skipPlace(n) && !codeContext(n)) { edits.push([n.getStart(), n.end, call(esc(t), new Msg(rewrite))]); return }
      return
    }
    ts.forEachChild(n, c => collect(c, edits))
  }
  function segments(children, edits) {
    // runs of text and plain expressions
    let run = []
    const flush = () => {
      if (!run.length) return
      const nodes = run; run = []
      const parts = [] // string | expr
      nodes.forEach((c, i) => {
        if (ts.isJsxText(c)) {
          let lines = c.text.split(/\r?\n/)
          let text = lines.map((l, j) => { let s = l; if (j > 0) s = s.replace(/^[ \t]+/, ''); if (j < lines.length - 1) s = s.replace(/[ \t]+$/, ''); return s }).filter((l, j, all) => l !== '' || false).join(' ')
          parts.push(text)
        } else if (c.expression && isLit(unwrap(c.expression))) parts.push(unwrap(c.expression).text)
        else parts.push(c)
      })
      const isText = parts.some(p => typeof p === 'string' && /[A-Za-z]{2}/.test(p))
      const exprs = parts.filter(p => typeof p !== 'string')
      if (!isText) { for (const c of nodes) if (!ts.isJsxText(c)) collect(c, edits); return }
      if (nodes.some(c => ts.isJsxText(c) && /&\w+;/.test(c.text))) report.push(`ENTITY ${f}: ${nodes.map(c => c.getText()).join('')}`)
      const m = new Msg(rewrite); let icu = ''
      for (const p of parts) { if (typeof p === 'string') icu += esc(p); else { const x = m.of(p.expression); if (x === null) { report.push(`NULL ${f}: ${p.getText()}`); for (const c of nodes) if (!ts.isJsxText(c)) collect(c, edits); return } icu += x } }
      const lead = /^\s+/.exec(icu)?.[0] ? "{' '}" : '', trail = /\s+$/.exec(icu)?.[0] ? "{' '}" : ''
      icu = icu.trim()
      // keep the surrounding newlines
      const first = nodes[0], last = nodes[nodes.length - 1]
      const s = ts.isJsxText(first) ? first.pos + (/^\s*/.exec(first.text)[0].length) : first.getStart()
      const e = ts.isJsxText(last) ? last.end - (/\s*$/.exec(last.text)[0].length) : last.end
      const s2 = lead && ts.isJsxText(first) && !/^\s*\n/.test(first.text) ? first.pos : s
      const e2 = trail && ts.isJsxText(last) && !/\n\s*$/.test(last.text) ? last.end : e
      edits.push([s2, e2, `${lead}{${call(icu, m)}}${trail}`])
    }
    for (const c of children) {
      if (ts.isJsxText(c)) run.push(c)
      else if (ts.isJsxExpression(c)) {
        if (!c.expression) continue
        const e = unwrap(c.expression)
        const plain = isLit(e) || isPlainValue(checker.getTypeAtLocation(e))
        if (plain) run.push(c); else { flush(); collect(c, edits) }
      } else { flush(); collect(c, edits) }
    }
    flush()
  }
  const edits = []
  collect(sf, edits)
  if (!used) continue
  changedFiles++
  let out = apply(0, src.length, edits)
  if (!existing) {
    const dir = dirname(f)
    const rel = relative(dir, 'web/src/kit/language'); const lang = rel.startsWith('.') ? rel : './' + rel
    const imports = [...sf.statements].filter(ts.isImportDeclaration)
    const lastImport = imports.at(-1)
    const exp = `${name}Messages`
    // insertion after imports: compute in new text by searching last import text
    const li = lastImport ? out.lastIndexOf(lastImport.getText()) + lastImport.getText().length : 0
    out = out.slice(0, li) + `\nimport { speaks } from '${lang}'\n\nconst say = speaks(${exp})\n` + out.slice(li)
    const w = /import (type )?\{([^}]*)\} from '@logged-thermal\/wording'/.exec(out)
    if (w && !w[1]) out = out.replace(w[0], `import {${w[2].trimEnd().replace(/,$/, '')}, ${exp} } from '@logged-thermal/wording'`)
    else out = `import { ${exp} } from '@logged-thermal/wording'\n` + out
    if (/\bsay\b/.test(src)) report.push(`SAYCLASH ${f}`)
  }
  if (!DRY) writeFileSync(f, out)
}
for (const [name, c] of Object.entries(cats)) {
  const f = DRY ? `/tmp/w/cat/${name}.ts` : `wording/src/catalogue/${name}.ts`
  if (c.existing !== undefined) { // append new keys
    const add = [...c.keys].slice(c.existing)
    if (!add.length) continue
    const text = readFileSync(`wording/src/catalogue/${name}.ts`, 'utf8')
    const i = text.indexOf('} as const')
    writeFileSync(f, text.slice(0, i) + add.map(([k, t]) => `  ${k}: ${JSON.stringify(t)},\n`).join('') + text.slice(i))
  } else writeFileSync(f, `/** TODO */\nexport const ${name}Messages = {\n${[...c.keys].map(([k, t]) => `  ${k}: ${JSON.stringify(t)},`).join('\n')}\n} as const\n`)
}
writeFileSync('/tmp/w/cat/report.txt', report.join('\n'))
console.log(changedFiles, Object.fromEntries(Object.entries(cats).map(([n, c]) => [n, c.keys.size])), report.length)
