import { KG_PER_POUND } from '@merry-tailor/core'
import { LineChart } from 'echarts/charts'
import { GridComponent, TooltipComponent } from 'echarts/components'
import { init, use as register } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'
import { useEffect, useRef } from 'react'
import { useAppSelector } from '../state/store'

register([LineChart, GridComponent, TooltipComponent, SVGRenderer])

const token = (name: string): string => getComputedStyle(document.documentElement).getPropertyValue(name).trim()

/** Weight over time: the one measure whose course says more than its tape. */
export function WeightChart({ points }: { points: readonly { on: string; kg: number }[] }) {
  const { unit, theme } = useAppSelector((state) => state.settings)
  const box = useRef<HTMLDivElement>(null)
  useEffect(() => {
    const element = box.current
    if (!element) return
    const chart = init(element, null, { renderer: 'svg' })
    const [ink, rule, mute] = [token('--ink'), token('--rule'), token('--mute')]
    const inUnit = (kg: number): number => Number((unit === 'in' ? kg / KG_PER_POUND : kg).toFixed(1))
    chart.setOption({
      animation: false,
      textStyle: { fontFamily: 'Atkinson Hyperlegible Next Variable, sans-serif', color: ink, fontSize: 13 },
      grid: { left: 44, right: 14, top: 12, bottom: 26 },
      tooltip: { trigger: 'axis', backgroundColor: token('--panel'), borderColor: ink, borderWidth: 2, borderRadius: 0, textStyle: { color: ink } },
      xAxis: { type: 'time', axisLine: { lineStyle: { color: ink, width: 2 } }, axisLabel: { color: mute, hideOverlap: true }, splitLine: { show: false } },
      yAxis: {
        type: 'value',
        scale: true,
        axisLabel: { color: mute, formatter: (value: number) => `${value} ${unit === 'in' ? 'lb' : 'kg'}` },
        splitNumber: 3,
        splitLine: { lineStyle: { color: rule } },
      },
      series: [
        {
          type: 'line',
          data: points.map((point) => [point.on, inUnit(point.kg)]),
          lineStyle: { color: ink, width: 2.2 },
          itemStyle: { color: token('--tape'), borderColor: ink, borderWidth: 2 },
          symbol: 'circle',
          symbolSize: 10,
        },
      ],
    })
    const watch = new ResizeObserver(() => chart.resize())
    watch.observe(element)
    return () => {
      watch.disconnect()
      chart.dispose()
    }
  }, [points, unit, theme])
  const last = points.at(-1)
  return (
    <div
      ref={box}
      role="img"
      aria-label={`Weight over time, ${points.length} weighings, last ${last ? last.kg.toFixed(1) : ''} kg`}
      className="h-[150px] w-full"
    />
  )
}
