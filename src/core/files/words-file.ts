import Papa from 'papaparse'
import type { Pair } from '../deck/pair.ts'
import { newId } from '../settings/new-id.ts'
import { BOUNDS, LENGTHS } from '../settings/bounds.ts'

/** The use of a column of words. */
export type ColumnPart = 'a' | 'b' | 'name' | 'tags' | 'aloud-a' | 'aloud-b' | 'nothing'
/** A column as it was read: its heading, if the first row names the columns, its first cells, and its use. */
export type Column = { head: string; cells: string[]; part: ColumnPart }

/** Pairs read from columns of text. */
export type WordPairs = {
  pairs: Pair[]
  columns: Column[]
  /** what separates the columns */
  separator: string
  /** whether the first row names the columns */
  header: boolean
  /** rows without a second face, though there is a column for it */
  oneFaced: number
  /** lines that give no pair, with their number and why; only the first ones */
  problems: string[]
  /** how many lines were left out */
  leftOut: number
}
export type WordOptions = {
  /** whether the first row names the columns; guessed if missing */
  header?: boolean
  /** the use of each column; guessed if missing */
  parts?: readonly ColumnPart[]
  /** what to do with a row without a second face */
  oneFaced?: 'identical' | 'leave-out'
  /** the most pairs to make */
  room?: number
}

const SEPARATORS = ['\t', ';', '|', '=', ',']
const MOST_TOLD = 50
/** How many rows are examined to guess the columns' uses, and how many are shown. */
const LOOKED_AT = 200
const SHOWN = 4
/** The most of a text that is read: many times what a deck holds. */
const MOST_READ = { letters: 1_000_000, rows: 20_000 }

/** Headings by which a column's use is recognised. */
const heads = (...lines: string[]): Set<string> => new Set(lines.join(' ').split(' '))
/** In the fourteen languages, as they stand above lists for learners. */
const HEADS: [ColumnPart, Set<string>][] = [
  [
    'tags',
    heads(
      'tag tags category categories group groups topic topics unit units chapter chapters lesson',
      'lessons theme themes thema themen kategorie gruppe kapitel lektion thème catégorie groupe',
      'chapitre leçon étiquette tema categoría grupo capítulo lección etiqueta categoria lição',
      'gruppo capitolo lezione etichetta categorie groep hoofdstuk les temat kategoria grupa',
      'rozdział lekcja konu kategori grup bölüm ders тема категорія група розділ урок موضوع فئة',
      'مجموعة درس נושא קטגוריה קבוצה שיעור テーマ 分類 グループ 課 主题 类别 分组 课',
    ),
  ],
  [
    'name',
    heads(
      'name names label labels title titles bezeichnung titel nom titre nombre título nome titolo',
      'naam nazwa tytuł ad isim başlık назва اسم عنوان שם כותרת 名前 名称 名字 标题',
    ),
  ],
  ['aloud-b', heads('aloud alt pronunciation ipa spoken sound')],
  ['nothing', heads('id ids no nr number # index note notes comment comments source')],
  [
    'b',
    heads(
      'meaning meanings translation translations definition definitions answer answers second right',
      'back twin german french spanish italian latin bedeutung bedeutungen übersetzung',
      'übersetzungen antwort antworten rückseite deutsch signification sens traduction traductions',
      'réponse réponses définition définitions français significado significados traducción',
      'respuesta respuestas definición español tradução resposta respostas definição português',
      'significato traduzione risposta risposte definizione italiano betekenis vertaling antwoord',
      'definitie nederlands znaczenie tłumaczenie odpowiedź definicja polski anlam anlamı çeviri',
      'cevap yanıt tanım türkçe значення переклад відповідь визначення українська معنى المعنى ترجمة',
      'جواب إجابة تعريف משמעות תרגום תשובה הגדרה 意味 訳 翻訳 答え 定義 意思 含义 翻译 答案 定义',
    ),
  ],
  [
    'a',
    heads(
      'word words term terms question questions first left front side face text pair english wort',
      'wörter begriff begriffe frage fragen vorderseite englisch mot mots terme termes anglais',
      'palabra palabras término términos pregunta preguntas inglés palavra palavras termo termos',
      'pergunta perguntas inglês parola parole termine termini domanda domande inglese woord',
      'woorden begrip begrippen vraag vragen engels słowo słowa pojęcie pytanie angielski kelime',
      'kelimeler sözcük terim soru ingilizce слово слова термін питання запитання англійська كلمة',
      'الكلمة كلمات مصطلح سؤال מילה מילים מונח שאלה 単語 言葉 用語 問題 質問 英語 单词 词语 词 术语 问题 英语',
    ),
  ],
]
const partOfHead = (head: string): ColumnPart | undefined =>
  HEADS.find(([, words]) => words.has(head.toLowerCase()))?.[0]

type WordRow = { line: number; cells: string[]; torn: boolean }

/**
 * Pairs from typed, pasted or opened text: columns separated by tab, semicolon, |, = or comma, in quotation marks if
 * they contain such a sign or a line break. Each column has a use: one face, the other face, name, tags, words read
 * aloud, or nothing. A row without a second face is an identical pair, or is left out. Rows beyond the limit are
 * reported.
 */
export function wordPairs(text: string, takenIds: readonly string[], options: WordOptions = {}): WordPairs {
  const clean = firstLines(text).replace(/^\ufeff/, '')
  const separator = separatorOf(clean)
  const rows = rowsOf(clean, separator)
  const header = options.header ?? isHeader(rows[0])
  const body = header ? rows.slice(1) : rows
  const width = rows.slice(0, LOOKED_AT).reduce((most, { cells }) => Math.max(most, cells.length), 0)
  const guessed = guessParts(width, header ? rows[0]!.cells : [], body)
  const parts = guessed.map((part, i) => options.parts?.[i] ?? part)
  const result: WordPairs = {
    pairs: [],
    columns: parts.map((part, i) => ({
      head: header ? (rows[0]!.cells[i] ?? '') : '',
      cells: body.slice(0, SHOWN).map(({ cells }) => cells[i] ?? ''),
      part,
    })),
    separator,
    header,
    oneFaced: 0,
    problems: [],
    leftOut: 0,
  }
  const tell = (line: number, why: string): void => {
    result.leftOut++
    if (result.problems.length < MOST_TOLD) result.problems.push(`line ${line}: ${why}`)
  }
  const room = options.room ?? BOUNDS.pairs[1]
  const ids = new Set(takenIds)
  let beyond = 0
  for (const { line, cells, torn } of body) {
    if (torn) {
      tell(line, 'a quotation mark is not closed; what follows it is not read')
      continue
    }
    if (result.pairs.length >= room) {
      beyond++
      continue
    }
    const pair = pairOf(cells, parts, ids)
    if (typeof pair === 'string') {
      tell(line, pair)
      continue
    }
    if (!pair.b && parts.includes('b') && !isTwin(cells, parts)) {
      result.oneFaced++
      if (options.oneFaced === 'leave-out') continue
    }
    ids.add(pair.id)
    result.pairs.push(pair)
  }
  const last = rows.at(-1)
  const isCut = text.length > MOST_READ.letters || rows.length >= MOST_READ.rows
  if (last && isCut && !last.torn) beyond += Math.max(0, lineCount(text) - last.line)
  if (beyond) {
    result.leftOut += beyond
    result.problems.unshift(
      `${beyond.toLocaleString('en')} rows more than there is room for: a deck holds ${BOUNDS.pairs[1].toLocaleString('en')} pairs`,
    )
  }
  return result
}

/** As many whole lines as are read of a text. */
function firstLines(text: string): string {
  if (text.length <= MOST_READ.letters) return text
  const end = text.lastIndexOf('\n', MOST_READ.letters)
  return text.slice(0, end > 0 ? end : MOST_READ.letters)
}

/** How many lines a text has; an end of line at its end begins none. */
function lineCount(text: string): number {
  let count = text.endsWith('\n') ? 0 : 1
  for (let at = text.indexOf('\n'); at >= 0; at = text.indexOf('\n', at + 1)) count++
  return count
}

/** The rows of a text that are not empty, with the line where each begins; up to the most that are read. */
function rowsOf(clean: string, separator: string): WordRow[] {
  const rows: WordRow[] = []
  let line = 1
  let from = 0
  Papa.parse<string[]>(clean, {
    delimiter: separator,
    step: ({ data, errors, meta }, parser) => {
      const here = line
      const end = meta.cursor
      for (let at = clean.indexOf('\n', from); at >= 0 && at < end; at = clean.indexOf('\n', at + 1)) line++
      from = end
      const cells = data.map((cell) => cell.replace(/\s+/g, ' ').trim())
      if (cells.some(Boolean))
        rows.push({ line: here, cells, torn: errors.some(({ type }) => type === 'Quotes') })
      if (rows.length >= MOST_READ.rows) parser.abort()
    },
  })
  return rows
}

/** A first row counts as headings if all of two, or most of more, are recognised. */
function isHeader(row: WordRow | undefined): boolean {
  const headingCells = row?.cells.filter(Boolean) ?? []
  const parts = headingCells.map(partOfHead).filter((part) => part !== undefined)
  // "word" and "Wort" are a pair to learn, "word" and "Bedeutung" are headings
  if (headingCells.length === 2) return parts.length === 2 && parts[0] !== parts[1]
  return headingCells.length > 1 && parts.length > headingCells.length / 2
}

/**
 * The use of each column: by its heading if it is recognised, else by its content. The first two without another use
 * are the faces.
 */
function guessParts(width: number, head: readonly string[], body: readonly WordRow[]): ColumnPart[] {
  const sample = body.slice(0, LOOKED_AT)
  const usedParts = new Set<ColumnPart>()
  const parts = Array.from({ length: width }, (_, i): ColumnPart | undefined => {
    const cells = sample.map(({ cells }) => cells[i] ?? '').filter(Boolean)
    const part = partOfHead(head[i] ?? '') ?? (width > 2 ? partOfCells(cells) : undefined)
    if (!part || (part !== 'nothing' && usedParts.has(part))) return undefined
    usedParts.add(part)
    return part
  })
  return parts.map((part): ColumnPart => {
    if (part) return part
    const face = (['a', 'b'] as const).find((one) => !usedParts.has(one)) ?? 'nothing'
    usedParts.add(face)
    return face
  })
}

/** Numbers that count rows are nothing; a few words that repeat often are tags. */
function partOfCells(cells: readonly string[]): ColumnPart | undefined {
  const numbers = cells.map(Number)
  if (cells.length > 1 && numbers.every((n, i) => Number.isInteger(n) && (i === 0 || n > numbers[i - 1]!)))
    return 'nothing'
  if (cells.length >= 4 && new Set(cells).size <= cells.length / 2) return 'tags'
  return undefined
}

const cellsFor = (cells: readonly string[], parts: readonly ColumnPart[], part: ColumnPart): string[] =>
  cells.filter((cell, i) => cell && parts[i] === part)
const textFor = (cells: readonly string[], parts: readonly ColumnPart[], part: ColumnPart): string =>
  cellsFor(cells, parts, part).join(' ')
/** Whether both faces say the same, although there is a second one, so the pair is identical. */
const isTwin = (cells: readonly string[], parts: readonly ColumnPart[]): boolean =>
  textFor(cells, parts, 'b') === textFor(cells, parts, 'a')

/** The pair of a row, or why there is none. */
function pairOf(
  cells: readonly string[],
  parts: readonly ColumnPart[],
  ids: ReadonlySet<string>,
): Pair | string {
  const a = textFor(cells, parts, 'a')
  const b = textFor(cells, parts, 'b')
  if (!a) return 'there is no text for one face'
  if (a.length > LENGTHS.text || b.length > LENGTHS.text) return `longer than ${LENGTHS.text} characters`
  const alt = (part: ColumnPart): { alt?: string } => {
    const words = textFor(cells, parts, part).slice(0, LENGTHS.alt)
    return words ? { alt: words } : {}
  }
  const tags = [
    ...new Set(
      cellsFor(cells, parts, 'tags')
        .flatMap((cell) => cell.split(/[,;|/]/))
        .map((tag) => tag.trim().slice(0, LENGTHS.tag))
        .filter(Boolean),
    ),
  ].slice(0, BOUNDS.tags[1])
  const name = (textFor(cells, parts, 'name') || a).slice(0, LENGTHS.name)
  return {
    id: newId(name, ids, 'pair'),
    name,
    ...(tags.length ? { tags } : {}),
    a: { kind: 'text', text: a, ...alt('aloud-a') },
    ...(b && b !== a ? { b: { kind: 'text' as const, text: b, ...alt('aloud-b') } } : {}),
  }
}

/** The sign that separates the columns: of those that occur, the one found on most of the first lines. */
function separatorOf(text: string): string {
  const lines = text.split('\n', 50).filter((line) => line.trim())
  const plain = lines.map((line) => line.replace(/"[^"]*"/g, '""'))
  let best = { sign: '\t', lines: 0 }
  for (const sign of SEPARATORS) {
    const count = plain.filter((line) => line.includes(sign)).length
    if (count > best.lines) best = { sign, lines: count }
  }
  return best.sign
}
