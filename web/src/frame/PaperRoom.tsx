import { ArrowLeft, Printer } from 'lucide-react'
import type { ReactNode } from 'react'
import { Link } from 'react-router'
import { settingsChanged } from '../state/settings'
import { useAppDispatch, useAppSelector } from '../state/store'
import { Segmented } from '../ui/controls/Segmented'
import { ShopFoot, ShopHead } from './ShopHead'
import './paper.css'

/** Paper on screen: the sheet as it will be printed, with its size chosen and the printer at hand. */
export function PaperRoom({ title, back, children }: { title: string; back: string; children: ReactNode }) {
  const paper = useAppSelector((state) => state.settings.paper)
  const dispatch = useAppDispatch()
  return (
    <div className="quiet-scroll min-h-0 flex-1 bg-bench print:bg-white" tabIndex={-1}>
      <style>{`@page { size: ${paper}; margin: 12mm; }`}</style>
      <div className="flex flex-wrap items-center gap-3 border-b-2 border-ink bg-panel px-5 py-2 print:hidden">
        <Link to={back} className="inline-flex min-h-11 items-center gap-2 font-bold underline">
          <ArrowLeft size={20} aria-hidden /> Back
        </Link>
        <h1 className="flex-1 text-[22px] leading-7 max-phone:order-first max-phone:basis-full">{title}</h1>
        <Segmented
          label="Paper"
          value={paper}
          options={[
            { value: 'A4', label: 'A4' },
            { value: 'Letter', label: 'Letter' },
          ]}
          onChange={(next) => dispatch(settingsChanged({ paper: next }))}
        />
        <button
          type="button"
          onClick={() => window.print()}
          className="inline-flex min-h-11 items-center gap-2 rounded-[2px] border-2 border-ink bg-tape px-5 text-[17px] font-bold text-tape-ink"
        >
          <Printer size={20} aria-hidden /> Print
        </button>
      </div>
      <div role="region" aria-label={title} tabIndex={0} className={`paper paper-${paper.toLowerCase()}`}>
        <ShopHead />
        {children}
        <ShopFoot />
      </div>
    </div>
  )
}
