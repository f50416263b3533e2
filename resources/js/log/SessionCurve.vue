<script setup lang="ts">
import { LineChart } from 'echarts/charts';
import { GridComponent, LegendComponent, TooltipComponent } from 'echarts/components';
import { use } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { computed } from 'vue';
import VChart from 'vue-echarts';
import type { CurvePoint } from '@/api/client';
import { useTheme } from '@/ui/useTheme';
import { clock } from '@/ui/words';

use([LineChart, GridComponent, LegendComponent, TooltipComponent, SVGRenderer]);

const props = defineProps<{ curve: CurvePoint[] }>();
const theme = useTheme();

function ink(name: string): string {
  return getComputedStyle(document.documentElement).getPropertyValue(`--${name}`).trim();
}

const option = computed(() => {
  // Read again when the theme changes.
  theme.isNight();
  const line = (
    name: string,
    key: 'kw' | 'a' | 'v',
    yAxisIndex: number,
    color: string,
    dash: 'solid' | 'dashed' | 'dotted',
  ) => ({
    name,
    type: 'line' as const,
    yAxisIndex,
    showSymbol: props.curve.length < 40,
    symbolSize: 5,
    data: props.curve.map((p) => [p.t_s / 60, p[key]]),
    lineStyle: { color, width: key === 'kw' ? 2.4 : 1.5, type: dash },
    itemStyle: { color },
    areaStyle: key === 'kw' ? { color: ink('copper-wash'), opacity: 0.7 } : undefined,
  });
  const axis = { axisLine: { lineStyle: { color: ink('line-strong') } }, axisLabel: { color: ink('ink-soft') } };
  const text = { color: ink('ink'), fontFamily: ink('face-text') };
  return {
    animation: false,
    textStyle: text,
    legend: { top: 0, left: 0, textStyle: { color: ink('ink') }, icon: 'rect', itemHeight: 3, itemWidth: 22 },
    grid: { left: 44, right: 48, top: 48, bottom: 42 },
    tooltip: {
      trigger: 'axis' as const,
      backgroundColor: ink('paper-raised'),
      borderColor: ink('ink'),
      borderRadius: 0,
      textStyle: text,
      valueFormatter: (value: unknown) => (typeof value === 'number' ? value.toFixed(1) : '–'),
      axisPointer: { label: { formatter: (p: { value: unknown }) => clock(Number(p.value) * 60) } },
    },
    xAxis: {
      type: 'value' as const,
      name: 'minutes',
      nameLocation: 'middle' as const,
      nameGap: 26,
      nameTextStyle: { color: ink('ink-soft') },
      max: 'dataMax' as const,
      minInterval: 1,
      splitLine: { show: false },
      ...axis,
      axisLabel: {
        color: ink('ink-soft'),
        formatter: (v: number) => v.toFixed(0),
        hideOverlap: true,
        showMaxLabel: false,
      },
    },
    yAxis: [
      {
        type: 'value' as const,
        name: 'kW',
        nameTextStyle: { color: ink('ink-soft') },
        splitLine: { lineStyle: { color: ink('line') } },
        ...axis,
      },
      {
        type: 'value' as const,
        name: 'A, V',
        nameTextStyle: { color: ink('ink-soft') },
        splitLine: { show: false },
        ...axis,
      },
    ],
    series: [
      line('kW', 'kw', 0, ink('copper'), 'solid'),
      line('A', 'a', 1, ink('ink'), 'solid'),
      line('V', 'v', 1, ink('ink-faint'), 'dashed'),
    ],
  };
});
</script>

<template>
  <div role="img" aria-label="Power, current and voltage over time; the figures stand beside and below.">
    <VChart :option="option" autoresize />
  </div>
</template>
