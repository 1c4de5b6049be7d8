import { describe, expect, it } from 'vitest'
import { kennelListToCsv, kennelTemplate, readKennelList, stripPhoto } from './index.ts'

const about = { unit: 'cm' as const, at: '2026-01-01T09:00:00Z', by: 'Test' }
const problemsOf = (text: string) => readKennelList(text, about).problems.map((problem) => `${problem.line} ${problem.column}`)

describe('a kennel list', () => {
  it('reads dogs, weights and tapes in the units the columns name', () => {
    const { rows, problems } = readKennelList(
      'Name,Sex,Born,Weight,Coat,Owner,M01 half in,M07 (cm),M13\r\nTern,f,2023-05-01,45 lb,thick double,Runa,10 7/8,70.2,78\r\n"Gull, the",m,,,,,,,\r\n',
      about,
    )
    expect(problems).toEqual([])
    expect(rows[0]?.value).toMatchObject({
      dog: { name: 'Tern', sex: 'female', born: '2023-05-01', coat: 'thick-double' },
      owner: 'Runa',
      readings: [
        { measure: 'M01', side: 'one', unit: 'in' },
        { measure: 'M07', mm: 702, side: 'both' },
        { measure: 'M13', mm: 780, unit: 'cm' },
      ],
    })
    expect(rows[0]?.value?.dog.weightKg).toBeCloseTo(20.41, 2)
    expect(rows[1]?.value).toMatchObject({ dog: { name: 'Gull, the', sex: 'male' }, readings: [] })
  })

  it('names every bad cell by line and column and keeps the row for showing', () => {
    const text = 'name,sex,born,weight,coat,M07 cm\nTern,x,May,heavy,shiny,wide\n,,,,,\n,f,,,,70\nGull,,,,,70,extra\n'
    expect(problemsOf(text)).toEqual(['2 sex', '2 weight', '2 coat', '2 born', '2 M07 cm', '4 name', '5 '])
    const { rows } = readKennelList(text, about)
    expect(rows[0]).toMatchObject({ value: null, cells: { born: 'May' } })
  })

  it('refuses columns it does not know, doubled girths, paws, and a list without names or dogs', () => {
    // X11: a column nobody knows is kept as a note, under its own title.
    expect(readKennelList('name,Colour,Comments\nTern,black,leans\n', about).rows[0]?.value?.dog.notes).toBe('leans; Colour: black')
    expect(problemsOf('name,M07 half cm\nTern,35\n')).toContain('1 M07 half cm')
    expect(problemsOf('name,M32\nTern,6\n')).toContain('1 M32')
    expect(problemsOf('name,name\nTern,Gull\n')).toContain('1 name')
    expect(problemsOf('breed\nHusky\n')).toContain('1 name')
    expect(problemsOf('')).toContain('2 ')
    expect(problemsOf('name\n"Tern\n')).toContain('2 ')
  })

  it('takes semicolons and a byte order mark, and brings its own template in', () => {
    expect(readKennelList('\uFEFFname;M07 cm\nTern;70,2\n', about).rows[0]?.value?.readings[0]?.mm).toBe(702)
    expect(readKennelList(kennelTemplate(), about).problems).toEqual([])
  })
})

describe('an old list', () => {
  const of = (text: string, over: object = {}) => {
    const { rows, problems } = readKennelList(text, { ...about, ...over })
    return problems.length > 0 ? problems.map(({ column, message }) => `${column}: ${message}`) : rows.map(({ value }) => value)
  }
  it('X05 has the day and the hand of its numbers, asked for the whole list where no column says it', () => {
    const text = 'Dog,DOB,Weight lbs,Measured,By,M07 cm\nPebble,2020-03-01,20,2024-05-02,Runa,52\n'
    expect(of(text)).toMatchObject([
      { dog: { name: 'Pebble', born: '2020-03-01' }, readings: [{ takenAt: '2024-05-02T12:00:00Z', by: 'Runa', remark: 'From a kennel list' }] },
    ])
    expect(of('name,M07 cm\nPebble,52\n', { measured: '2023-02-01' })).toMatchObject([{ readings: [{ takenAt: '2023-02-01T12:00:00Z', by: '' }] }])
    expect(of('name,M07 cm\nPebble,52\n', { measured: null })).toMatchObject([{ readings: [{ by: '', remark: 'From a list, day not known' }] }])
    expect(of('name,measured,M07 cm\nPebble,2031-01-01,52\n')).toEqual(['measured: "2031-01-01" has not come yet'])
  })

  it('X11 asks once which way round its days are, and takes a year alone as a birth year', () => {
    expect(of('name,born\nPebble,04/05/2019\n')).toEqual(['born: "04/05/2019": day first or month first?'])
    expect(of('name,born\nPebble,04/05/2019\n', { dayOrder: 'dmy' })).toMatchObject([{ dog: { born: '2019-05-04' } }])
    expect(of('name,born\nPebble,04/05/2019\n', { dayOrder: 'mdy' })).toMatchObject([{ dog: { born: '2019-04-05' } }])
    expect(of('name,born\nPebble,24/05/2019\n')).toMatchObject([{ dog: { born: '2019-05-24' } }])
    expect(of('name,born\nPebble,2020\n')).toMatchObject([{ dog: { born: null, ageMonths: 66, ageSaidOn: '2026-01-01' } }])
  })

  it('T43 asks for the unit of weights that name none', () => {
    expect(of('name,weight\nPebble,20\n', { weightUnit: null })).toEqual(['weight: "20": kilograms or pounds?'])
    expect(of('name,weight\nPebble,20\n', { weightUnit: 'lb' })).toMatchObject([{ dog: { weightKg: 20 * 0.45359237 } }])
    expect(of('name,Weight (kg)\nPebble,20\n', { weightUnit: null })).toMatchObject([{ dog: { weightKg: 20 } }])
  })
})

it('a kennel list comes in again as it went out', () => {
  const row = {
    dog: { name: '=Tern', breed: 'Husky', crossWith: '', sex: 'female' as const, born: '2023-05-01', weightKg: 20.4, coat: 'wire' as const, notes: 'a, "b"' },
    owner: '+Runa',
    values: { M00: 20.4, M07: 702.5, M01: 552 },
  }
  const text = kennelListToCsv([row])
  expect(text).toContain("'=Tern")
  const { rows, problems } = readKennelList(text, about)
  expect(problems).toEqual([])
  expect(rows[0]?.value).toMatchObject({ dog: { name: '=Tern', notes: 'a, "b"', weightKg: 20.4 }, owner: '+Runa' })
  expect(rows[0]?.value?.readings.map((reading) => [reading.measure, reading.mm, reading.side])).toEqual([
    ['M00', 20.4, 'both'],
    ['M01', 552, 'both'],
    ['M07', 702.5, 'both'],
  ])
})

describe('stripPhoto', () => {
  const codes = (text: string): number[] => Array.from(text, (sign) => sign.charCodeAt(0))
  const join = (...parts: (number[] | string)[]): Uint8Array => Uint8Array.from(parts.flatMap((part) => (typeof part === 'string' ? codes(part) : part)))
  const segment = (marker: number, text: string): number[] => [0xff, marker, 0, text.length + 2, ...codes(text)]
  const has = (bytes: Uint8Array, text: string): boolean => Buffer.from(bytes).includes(text)

  it('A21 takes place, camera and comment out of a JPEG and leaves the picture', () => {
    const picture = join(
      [0xff, 0xd8],
      segment(0xe0, 'JFIF\0\u0001\u0001\0\0\u0001\0\u0001\u0002\u0002a thumbnail'),
      segment(0xe0, 'anything at all'),
      segment(0xe1, 'Exif\0\0GPSLatitude'),
      segment(0xfe, 'my camera'),
      segment(0xdb, 'table'),
      segment(0xda, 'scan'),
      [1, 2, 0xff, 0, 3, 0xff, 0xd0, 4, 0xff, 0xd9],
      'trailing place',
    )
    const stripped = stripPhoto(picture)
    expect(stripped).toMatchObject({ ok: true, type: 'image/jpeg' })
    const bytes = stripped.ok ? stripped.bytes : new Uint8Array()
    expect(['GPS', 'camera', 'trailing', 'thumbnail', 'anything', 'JFIF', 'table', 'scan'].map((text) => has(bytes, text))).toEqual([false, false, false, false, false, true, true, true]) // prettier-ignore
    expect([...bytes.subarray(-10)]).toEqual([1, 2, 0xff, 0, 3, 0xff, 0xd0, 4, 0xff, 0xd9])
  })

  it('keeps only the chunks of a PNG that make the picture', () => {
    const SIZE = '\0\0\0\u0010\0\0\0\u0010\u0008\u0002\0\0\0'
    const chunk = (name: string, data: string): number[] => [0, 0, 0, data.length, ...codes(name + data), 9, 9, 9, 9]
    const stripped = stripPhoto(
      join(
        [0x89],
        'PNG\r\n\u001a\n',
        chunk('IHDR', SIZE),
        chunk('pHYs', 'a whole letter in here'),
        chunk('eXIf', 'place'),
        chunk('tEXt', 'author'),
        chunk('IDAT', 'dots'),
        chunk('IEND', ''),
      ),
    )
    const bytes = stripped.ok ? stripped.bytes : new Uint8Array()
    expect(['IHDR', 'IDAT', 'IEND', 'place', 'author', 'letter'].map((text) => has(bytes, text))).toEqual([true, true, true, false, false, false])
    // Words behind the end, and a picture of more than 12,000 px.
    expect(stripPhoto(join([0x89], 'PNG\r\n\u001a\n', chunk('IHDR', SIZE), chunk('IDAT', 'dots'), chunk('IEND', 'more')))).toEqual({
      ok: false,
      problem: 'broken',
    })
    expect(stripPhoto(join([0x89], 'PNG\r\n\u001a\n', chunk('IHDR', `\0\0\u0040\0${SIZE.slice(4)}`), chunk('IDAT', 'dots'), chunk('IEND', '')))).toEqual({
      ok: false,
      problem: 'broken',
    })
  })

  it('keeps WebP pictures without their EXIF', () => {
    const riff = (name: string, data: string): number[] => [...codes(name), data.length, 0, 0, 0, ...codes(data)]
    const stripped = stripPhoto(join('RIFF', [44, 0, 0, 0], 'WEBP', riff('VP8 ', 'dots'), riff('EXIF', 'placeplace'), riff('NOTE', 'a letter')))
    const bytes = stripped.ok ? stripped.bytes : new Uint8Array()
    expect([has(bytes, 'dots'), has(bytes, 'place'), has(bytes, 'letter'), bytes[4]]).toEqual([true, false, false, bytes.length - 8])
  })

  it('refuses what is no picture or is broken', () => {
    expect(stripPhoto(join('GIF89a and then some more bytes'))).toEqual({ ok: false, problem: 'unknown-kind' })
    expect(stripPhoto(join([0xff, 0xd8], segment(0xe1, 'cut short, no image follows')))).toEqual({ ok: false, problem: 'broken' })
    expect(stripPhoto(new Uint8Array())).toEqual({ ok: false, problem: 'unknown-kind' })
  })
})
