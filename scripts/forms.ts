// Ten very different dogs, cut from their forms: writes the page that becomes docs/screenshots/forms.png.
import { writeFileSync } from 'node:fs'
import { plates, solveForm, type About, type Flat, type View } from '../core/src/form/index.ts'

const dogs: readonly (readonly [string, About])[] = [
  ['A tiny toy', { breed: 'Chihuahua', sex: 'female' }],
  ['A sighthound', { breed: 'Greyhound', sex: 'male' }],
  ['A molosser', { breed: 'Cane Corso', sex: 'male' }],
  ['Long back, short legs', { breed: 'Dachshund', sex: 'female' }],
  ['A square terrier', { breed: 'Fox Terrier, smooth', sex: 'male' }],
  ['A nordic', { breed: 'Siberian Husky', sex: 'male' }],
  ['A flat face', { breed: 'Pug', sex: 'male' }],
  ['A giant', { breed: 'Great Dane', sex: 'male' }],
  ['A puppy of four months', { breed: 'Labrador Retriever', ageMonths: 4, weightKg: 12, sex: 'female' }],
  ['A drop-eared hound', { breed: 'Bloodhound', sex: 'male' }],
]

const [WIDE, HIGH] = [320, 390]

/** One view in a box, scaled to it; upright views stand on its foot. */
function drawn(about: About, view: View, x: number, y: number, width: number, height: number): string {
  const set = plates(solveForm({}, about), view)
  const { box } = set
  const by = Math.min(width / (box.right - box.left), height / (box.top - box.bottom))
  const upright = view === 'side' || view === 'front'
  const [x0, y0] = [x + width / 2 - ((box.left + box.right) / 2) * by, upright ? y + height : y + height / 2 + ((box.top + box.bottom) / 2) * by]
  const at = ([a, b]: Flat): string => `${(x0 + a * by).toFixed(1)} ${(y0 - b * by).toFixed(1)}`
  const path = (points: readonly Flat[], rest: string): string => `<path d="M${points.map(at).join('L')}${rest}/>`
  return [
    ...set.plates.map((plate) => path(plate.points, `Z" fill="${plate.far ? '#BCD2CA' : '#fff'}"`)),
    ...set.seams.map((seam) => path(seam, '" fill="none" stroke-dasharray="4 4" stroke-width="1.1"')),
    path(set.nose, 'Z" fill="#0F2322"'),
    set.smile.length > 0 ? path(set.smile, '" fill="none"') : '',
    ...set.eyes.map((eye) => {
      const [ex, ey] = at(eye).split(' ')
      return `<circle cx="${ex ?? ''}" cy="${ey ?? ''}" r="${Math.max(1.6, Math.min(4, set.button * by)).toFixed(1)}" fill="#0F2322" stroke="none"/>`
    }),
  ].join('')
}

const cells = dogs.map(([name, about], i) => {
  const [x, y] = [(i % 5) * WIDE, Math.floor(i / 5) * HIGH]
  return `<text x="${x + 14}" y="${y + 26}" font-size="19" font-weight="700" stroke="none" fill="#0F2322">${name}</text>
    ${drawn(about, 'side', x + 14, y + 44, 212, 210)}${drawn(about, 'front', x + 236, y + 44, 72, 210)}
    <path d="M${x + 8} ${y + 254}H${x + WIDE - 8}" fill="none" stroke-width="1.8"/>${drawn(about, 'above', x + 14, y + 272, 292, 96)}`
})
const grid = `<defs><pattern id="g" width="20" height="20" patternUnits="userSpaceOnUse"><path d="M20 0H0V20" fill="none" stroke="#BDD3CB" stroke-width="1"/></pattern></defs><rect width="${WIDE * 5}" height="${HIGH * 2}" fill="url(#g)" stroke="none"/>`
const font = new URL('../node_modules/@fontsource-variable/bricolage-grotesque/files/bricolage-grotesque-latin-wght-normal.woff2', import.meta.url).href
writeFileSync(
  process.argv[2] ?? 'forms.html',
  `<meta charset="utf-8"><style>@font-face{font-family:B;src:url(${font});font-weight:200 800}body{margin:0;background:#D3E4DE}svg{font-family:B,sans-serif}</style>
<svg width="${WIDE * 5}" height="${HIGH * 2}" stroke="#0F2322" stroke-width="1.7" stroke-linejoin="round">${grid}${cells.join('\n')}</svg>`,
)
