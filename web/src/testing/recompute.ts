/** A figure of a sheet worked out anew from the numbers that are printed on the same sheet. */
export interface Recomputed {
  readonly what: string
  readonly printed: string
  readonly worked: number
  readonly isRight: boolean
}

/** As a sheet prints them: minus signs, spaces. */
const plain = (text: string) => text.replaceAll('−', '-').replaceAll(/\s+/g, ' ')
const decimalsIn = (text: string) => (text.split('.')[1] ?? '').length

/** Half of the last digit that is printed, and a hair for binary fractions. */
function rounds(what: string, printed: string, worked: number, slack = 0.5): Recomputed {
  const isRight = Math.abs(Number(printed) - worked) <= slack * 10 ** -decimalsIn(printed) + 1e-9
  return { what, printed, worked, isRight }
}

/**
 * Every result that a prep’s sheet prints, worked out from its own text alone.
 *
 * @param sheet text of the page or of its PDF, cells of a row one after another
 */
export function recomputed(sheet: string): readonly Recomputed[] {
  const text = plain(sheet)
  return [...percentagesIn(text), ...massesIn(text), ...volumesIn(text), ...rangesIn(text), ...lossesIn(text)]
}

const RESULTS = [
  /Percent recovery, of the crude(?: that went in)?/,
  /Percent recovery, both crops/,
  /Percent recovery, of the \S+(?: \S+)? estimated in it/,
  /Percent yield, from [\d.]+ g of (?:\S+ )+?(?=\(|\d)/,
  /Accounted for by weighing/,
]

/** Each per cent with the working that stands beside it, every number of which stands elsewhere too or is told there. */
function percentagesIn(text: string): readonly Recomputed[] {
  return RESULTS.flatMap((label) => {
    const found = label.exec(text)
    if (!found) return []
    const after = text.slice(found.index + found[0].length, found.index + found[0].length + 160)
    const printed = /([\d.]+)(?: ± [\d.]+)? %/.exec(after)?.[1]
    const working = workingIn(after)
    if (printed === undefined || working === null)
      return [{ what: found[0], printed: printed ?? '', worked: NaN, isRight: false }]
    const alone = working.masses.filter(
      (mass) => text.split(new RegExp(`(?<![\\d.])${mass.replace('.', '\\.')} g`)).length < 3,
    )
    return [
      rounds(found[0], printed, 100 * working.value),
      {
        what: `${found[0]}: its masses stand on the sheet`,
        printed: alone.join(),
        worked: 0,
        isRight: alone.length === 0,
      },
    ]
  })
}

/** The first sum or quotient of masses in a text. */
function workingIn(text: string): { readonly value: number; readonly masses: readonly string[] } | null {
  const tokens = text.match(/[\d.]+|g\/mol|g|[÷×+()]|\S+/g) ?? []
  for (let at = 0; at < tokens.length; at++) {
    const read = new Working(tokens, at)
    const value = read.terms()
    if (value !== null && read.tokens.slice(at, read.at).includes('÷')) return { value, masses: read.masses }
  }
  return null
}

class Working {
  readonly masses: string[] = []
  constructor(
    readonly tokens: readonly string[],
    public at: number,
  ) {}

  /** Products and quotients of what is in brackets or alone, from left to right. */
  terms(): number | null {
    let value = this.part()
    while (value !== null && (this.is('×') || this.is('÷'))) {
      const isTimes = this.is('×')
      this.at += 1
      const next = this.part()
      if (next === null) return null
      value = isTimes ? value * next : value / next
    }
    return value
  }

  private part(): number | null {
    if (this.is('(')) {
      this.at += 1
      let sum = this.terms()
      while (sum !== null && this.is('+')) {
        this.at += 1
        const next = this.terms()
        sum = next === null ? null : sum + next
      }
      if (!this.is(')')) return null
      this.at += 1
      return sum
    }
    const token = this.tokens[this.at] ?? ''
    if (!/^\d+(\.\d+)?$/.test(token)) return null
    this.at += 1
    if (this.is('g')) this.masses.push(token)
    if (this.is('g') || this.is('g/mol')) this.at += 1
    return Number(token)
  }

  private is(token: string): boolean {
    return this.tokens[this.at] === token
  }
}

function massesIn(text: string): readonly Recomputed[] {
  const differences = [...text.matchAll(/([\d.]+) g loaded - ([\d.]+) g empty/g)].map(
    ([all, loaded = '', empty = '']) => {
      const decimals = Math.max(decimalsIn(loaded), decimalsIn(empty))
      const net = (Number(loaded) - Number(empty)).toFixed(decimals)
      return { what: all, printed: net, worked: Number(net), isRight: text.includes(` ${net} g`) }
    },
  )
  const aside = /(\d+) mg of it kept back: ([\d.]+) g went in/.exec(text)
  const crude = /Mass of crude (?:\D+?)?(?:(\d[\d.]*) g(?! loaded| empty| went))/.exec(text)?.[1]
  const whole = crude ?? /([\d.]+) g(?= Mass of product)/.exec(text)?.[1]
  return [
    ...differences,
    ...(aside && whole !== undefined
      ? [rounds(aside[0], aside[2] ?? '', Number(whole) - Number(aside[1]) / 1000)]
      : []),
  ]
}

/** What was poured, portion by portion, against the sum on the page. */
function volumesIn(text: string): readonly Recomputed[] {
  const printed = /([\d.]+) mL \/ (?:([\d.]+) mL|none)/.exec(text)
  if (!printed) return []
  const sum = (portion: RegExp) =>
    [...text.matchAll(portion)].reduce((total, [, volume]) => total + Number(volume), 0)
  const unless = String.raw`(?! struck)`
  const added = sum(
    new RegExp(String.raw`Added (?:\d+ drops? \()?([\d.]+) mL\)?, (?:hot|cold)\.${unless}`, 'g'),
  )
  const away = sum(new RegExp(String.raw`Boiled away ([\d.]+) mL\.${unless}`, 'g'))
  const rinsed = sum(
    new RegExp(String.raw`Rinsed with (?:\d+ drops? \()?([\d.]+) mL\)?, ice-\s?cold\.${unless}`, 'g'),
  )
  return [
    rounds('solvent, hot', printed[1] ?? '', added - away),
    ...(printed[2] === undefined ? [] : [rounds('rinse', printed[2], rinsed)]),
  ]
}

/** Widths of the table, and what the findings say of them. */
function rangesIn(text: string): readonly Recomputed[] {
  const from = text.lastIndexOf('width, °C')
  if (from < 0) return []
  const end =
    /Signed by|Not signed yet|Verdict|Why less than|What was done|Why /.exec(text.slice(from))?.index ?? 0
  const table = text.slice(from, from + end)
  const rows = [
    ...table.matchAll(/([\d.]+) to ([\d.]+) (?:– |([\d.]+) to ([\d.]+) )?(\d+(?:\.\d+)?)(?= |$)(?! °C)/g),
  ].map(([all, onset = '', clear = '', lowC, highC, width = '']) => {
    const [low, high] = [Number(lowC ?? onset), Number(highC ?? clear)]
    return { all, low, high, width }
  })
  const rest = `${text.slice(0, from)} ${text.slice(from + end)}`
  const changed = /begins ([\d.]+) °C (higher|lower) and is ([\d.]+) °C (narrower|wider)/.exec(rest)
  const widths = [...rest.matchAll(/(?<![\d.])(\d+\.\d+) °C wide/g)].map(([, width = '']) => width)
  return [
    ...rows.map(({ all, low, high, width }) => rounds(all, width, high - low)),
    ...widths.map((width) => ({
      what: `${width} °C wide`,
      printed: width,
      worked: NaN,
      isRight: rows.some((row) => row.width === width),
    })),
    ...(changed
      ? [
          {
            what: changed[0],
            printed: changed[1] ?? '',
            worked: NaN,
            isRight: rows.some((crude) =>
              rows.some(
                (product) =>
                  rounds('', changed[1] ?? '', Math.abs(product.low - crude.low)).isRight &&
                  rounds('', changed[3] ?? '', Math.abs(Number(product.width) - Number(crude.width))).isRight,
              ),
            ),
          },
        ]
      : []),
  ]
}

function lossesIn(text: string): readonly Recomputed[] {
  const lost = /([\d.]+) g of the crude is not in the crystals/.exec(text)?.[1]
  const both = text.search(/Percent recovery, both crops/)
  const working = workingIn(text.slice(both >= 0 ? both : text.search(/Percent recovery, of the crude/)))
  const other = /The other ([\d.]+) g was lost in transfers/.exec(text)?.[1]
  const liquor = /([\d.]+) g was found in the evaporated liquor/.exec(text)?.[1]
  const expected =
    /About ([\d.]+) g was expected in the cold liquor: ([\d.]+) g .*? and ([\d.]+) g impurity dissolved(?:; the rinse took at most ([\d.]+) g|; no rinse was logged)?(?:; ([\d.]+) g crystallized as the second crop)?/.exec(
      text,
    )
  const gritted = /([\d.]+) g (?:was left behind hot|was not expected to dissolve), as grit/.exec(text)?.[1]
  return [
    ...(lost !== undefined && working
      ? [rounds('not in the crystals', lost, Number(working.masses.at(-1)) * (1 - working.value))]
      : []),
    ...(lost !== undefined && other !== undefined && liquor !== undefined
      ? [rounds('in transfers', other, Number(lost) - Number(liquor) - Number(gritted ?? 0), 0.6)]
      : []),
    // Three numbers rounded by themselves: the last digit could be one off for each.
    ...(expected
      ? [
          rounds(
            'expected in the liquor',
            expected[1] ?? '',
            [expected[2], expected[3], expected[4] ?? 0, -Number(expected[5] ?? 0)].reduce<number>(
              (sum, part) => sum + Number(part),
              0,
            ),
            2,
          ),
        ]
      : []),
  ]
}
