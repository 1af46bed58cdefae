import * as reactApexCharts from 'react-apexcharts'
import type { ApexOptions } from 'apexcharts'
import type { ComponentType } from 'react'

interface ChartProps {
  options: ApexOptions
  series: ApexOptions['series']
  type: 'line'
  height: number
}
// The package is CommonJS: its default export arrives wrapped once or twice, depending on the bundler.
const wrapped = reactApexCharts.default as unknown as
  { default?: ComponentType<ChartProps> } | ComponentType<ChartProps>
export const Chart = (
  'default' in wrapped && wrapped.default ? wrapped.default : wrapped
) as ComponentType<ChartProps>

/** A colour of the theme in force, for what is drawn outside CSS. */
export function themeColour(name: string): string {
  return getComputedStyle(document.documentElement).getPropertyValue(name).trim()
}
export function isDark(): boolean {
  return document.documentElement.dataset['bsTheme'] === 'dark'
}

/** What every chart has in common: no toolbar, no movement, labels on the line instead of a legend. */
export function plainChart(): ApexOptions {
  return {
    chart: {
      animations: { enabled: false },
      toolbar: { show: false },
      zoom: { enabled: false },
      fontFamily: 'inherit',
      background: 'transparent',
    },
    theme: { mode: isDark() ? 'dark' : 'light' },
    legend: { show: false },
    tooltip: { enabled: false },
    grid: { borderColor: themeColour('--hair') },
  }
}

/** An axis title and its numbers, quiet. */
export function plainAxis(title: string) {
  const quiet = themeColour('--ink-2')
  return {
    title: { text: title, style: { color: quiet, fontWeight: 400, fontSize: '12.5px' } },
    labels: { style: { colors: quiet, fontSize: '12.5px' } },
  }
}
