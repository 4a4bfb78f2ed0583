import { laneOf, lanes, type Log } from '$core/log';
import { clockIn, fromSi, isLevel, type UnitChoice } from '$core/units';
import { CustomChart, LineChart, ScatterChart } from 'echarts/charts';
import { GridComponent, MarkLineComponent, TooltipComponent } from 'echarts/components';
import * as echarts from 'echarts/core';
import type { Footing } from '../../workers/jobs';
import { SVGRenderer } from 'echarts/renderers';

echarts.use([CustomChart, LineChart, ScatterChart, GridComponent, MarkLineComponent, TooltipComponent, SVGRenderer]);

/** Colours of the theme in force, from the page's own properties. */
const colours = (element: Element) => {
  const style = getComputedStyle(element);
  const of = (name: string) => style.getPropertyValue(name).trim();
  return { ink: of('--ink'), ink2: of('--ink2'), rule: of('--rule'), water: of('--water'), raised: of('--raised') };
};

/** The trend as a chart's option: pressure above, the glass under it, events as ticks below. */
function option(log: Log, units: UnitChoice, now: number, c: ReturnType<typeof colours>, height: number, zone: string, footing?: Footing) {
  const { events, context } = log;
  const { fitOut } = context;
  const p = (pascal: number) => Math.round(fromSi(pascal, 'pressure', units.pressure) * 10) / 10;
  const pressures = events.flatMap((e) => (e.is === 'reading' && e.pressure !== undefined ? [[e.at, p(e.pressure)]] : []));
  const glasses = events.flatMap((e) =>
    e.is === 'reading' && e.glass !== undefined && e.glassNumber !== 2
      ? [[e.at, isLevel(e.glass) ? e.glass : e.glass === 'top nut' ? 1 : 0]]
      : []
  );
  const marked = events.flatMap((e) => (laneOf(e) ? [{ at: e.at, lane: laneOf(e)! }] : []));
  const shown = lanes.filter((lane) => marked.some((m) => m.lane === lane));
  const ticks = marked.map((m) => [m.at, shown.indexOf(m.lane)]);
  const start = log.state.fire.litAt ?? log.state.began ?? new Date(now).toISOString();
  const from = Math.min(Date.parse(start), ...(pressures[0] ? [Date.parse(pressures[0][0] as string)] : []));
  const end = log.state.endedAt ? Date.parse(log.state.endedAt) : now;
  // The fan is shown to its late edge, but not so far that what was read shrinks to nothing.
  const fan = footing?.fan ?? [];
  const planned = footing?.replan ? (footing.planned?.band ?? []) : [];
  const replan = footing?.replan;
  const ahead = Math.max(0, ...fan.map((f) => f.late), ...planned.map((f) => f.middle), replan ? replan.ready : 0);
  const span = {
    min: from - 60_000,
    max: Math.max(end, from + 30 * 60_000, Math.min(ahead + 120_000, end + Math.max(45 * 60_000, 1.5 * (end - from))))
  };
  const axisLine = { lineStyle: { color: c.ink } };
  const label = { color: c.ink2, fontFamily: 'Barlow Semi Condensed', fontSize: 13 };
  const hasGlass = fitOut.glasses.length > 0;
  // From the bottom: the time axis, one line an event lane, the glass, and all the rest for pressure.
  const below = 24 + shown.length * 16;
  const glassTall = hasGlass ? Math.max(44, height * 0.17) : 0;
  const side = { left: 40, right: 10 };
  const grids = [
    { ...side, top: 10, bottom: below + (hasGlass ? glassTall + 34 : 14) },
    { ...side, height: glassTall, bottom: below + 14 },
    { ...side, height: shown.length * 16, bottom: 24 }
  ];
  const time = (i: number, shown: boolean) => ({
    type: 'time',
    gridIndex: i,
    ...span,
    axisLabel: { ...label, show: shown, formatter: (at: number) => clockIn(at, zone), hideOverlap: true },
    axisLine: { ...axisLine, onZero: false },
    axisTick: { show: shown },
    splitLine: { show: false },
    minInterval: 600_000
  });
  return {
    animation: false,
    textStyle: { fontFamily: 'Barlow' },
    grid: grids,
    tooltip: {
      trigger: 'axis',
      axisPointer: { type: 'line', lineStyle: { color: c.ink2 } },
      backgroundColor: c.raised,
      borderColor: c.ink,
      borderRadius: 0,
      textStyle: { color: c.ink, fontFamily: 'Barlow' }
    },
    xAxis: [time(0, false), time(1, false), time(2, true)],
    yAxis: [
      {
        gridIndex: 0,
        min: 0,
        max: Math.ceil(p(fitOut.workingPressure * 1.15) / 5) * 5,
        axisLabel: { ...label, showMaxLabel: false },
        axisLine: { show: true, ...axisLine },
        splitLine: { lineStyle: { color: c.rule } },
        splitNumber: 4
      },
      {
        gridIndex: 1,
        min: 0,
        max: 1,
        interval: 0.5,
        axisLabel: { ...label, formatter: (v: number) => ({ 0: '0', 0.5: '½', 1: '1' })[v] ?? '' },
        axisLine: { show: true, ...axisLine },
        splitLine: { lineStyle: { color: c.rule } }
      },
      {
        gridIndex: 2,
        type: 'category',
        data: shown,
        inverse: true,
        axisLabel: { ...label, fontSize: 12, interval: 0 },
        axisLine: { show: false },
        axisTick: { show: false },
        splitLine: { show: false }
      }
    ],
    series: [
      ...band('Plan', planned, p, c.rule, 0.75),
      ...band('Forecast', fan, p, c.ink, 0.16),
      ...middle(fan, p, c.ink),
      ...moments(replan, c.ink2),
      {
        name: `Pressure, ${units.pressure}`,
        type: 'line',
        xAxisIndex: 0,
        yAxisIndex: 0,
        data: pressures,
        symbol: 'circle',
        symbolSize: 4,
        lineStyle: { color: c.ink, width: 2 },
        itemStyle: { color: c.ink },
        markLine: {
          silent: true,
          symbol: 'none',
          lineStyle: { color: c.ink, type: 'solid', width: 2 },
          label: { formatter: 'WP', position: 'insideStartTop', color: c.ink, fontFamily: 'Barlow Semi Condensed', fontSize: 13 },
          data: [{ yAxis: p(fitOut.workingPressure) }]
        }
      },
      ...(hasGlass
        ? [
            {
              name: 'Glass',
              type: 'line',
              xAxisIndex: 1,
              yAxisIndex: 1,
              data: glasses,
              symbol: 'circle',
              symbolSize: 4,
              step: false,
              lineStyle: { color: c.water, width: 2 },
              itemStyle: { color: c.water },
              tooltip: { valueFormatter: (v: number) => (v as number)?.toFixed(2) }
            }
          ]
        : []),
      {
        name: 'Events',
        type: 'scatter',
        xAxisIndex: 2,
        yAxisIndex: 2,
        data: ticks,
        symbol: 'rect',
        symbolSize: [2, 11],
        itemStyle: { color: c.ink },
        tooltip: { show: false }
      }
    ]
  };
}

type Fan = Footing['fan'];
/** A band between its early and its late edge, as one shape. Pressures rise along it, so time is what its edges lie apart in. */
function band(name: string, fan: Fan, p: (pascal: number) => number, colour: string, opacity: number) {
  if (fan.length < 2) return [];
  const edge = [...fan.map((f) => [f.early, p(f.pressure)]), ...[...fan].reverse().map((f) => [f.late, p(f.pressure)])];
  return [
    {
      name,
      type: 'custom',
      xAxisIndex: 0,
      yAxisIndex: 0,
      silent: true,
      clip: true,
      tooltip: { show: false },
      data: [0],
      renderItem: (_: unknown, api: { coord: (at: number[]) => number[] }) => ({
        type: 'polygon',
        shape: { points: edge.map((at) => api.coord(at)) },
        style: { fill: colour, opacity }
      })
    }
  ];
}
const middle = (fan: Fan, p: (pascal: number) => number, colour: string) =>
  fan.length < 2
    ? []
    : [
        {
          name: 'Forecast, middle',
          type: 'line',
          xAxisIndex: 0,
          yAxisIndex: 0,
          silent: true,
          symbol: 'none',
          clip: true,
          tooltip: { show: false },
          lineStyle: { color: colour, width: 1.5, type: 'dashed' },
          data: fan.map((f) => [f.middle, p(f.pressure)])
        }
      ];

/** When it was wanted, and when by what is known now it will be ready. */
function moments(replan: Footing['replan'], colour: string) {
  const [first] = replan?.wants ?? [];
  if (!replan || !first) return [];
  const late = replan.ready > first.wanted + 60_000;
  const at = (xAxis: number, formatter: string) => ({ xAxis, label: { formatter } });
  return [
    {
      name: 'Wanted',
      type: 'line',
      xAxisIndex: 0,
      yAxisIndex: 0,
      data: [],
      markLine: {
        silent: true,
        symbol: 'none',
        lineStyle: { color: colour, type: 'dashed', width: 1 },
        label: { position: 'insideEndTop', rotate: 90, color: colour, fontFamily: 'Barlow Semi Condensed', fontSize: 13 },
        data: late ? [at(first.wanted, 'wanted'), at(replan.ready, 'ready')] : [at(first.wanted, 'wanted')]
      }
    }
  ];
}

/** Draws into an element and gives back how to redraw and how to end it. */
export function draw(element: HTMLElement) {
  const chart = echarts.init(element, undefined, { renderer: 'svg' });
  let again = () => {};
  const resized = new ResizeObserver(() => (chart.resize(), again()));
  resized.observe(element);
  return {
    show: (log: Log, units: UnitChoice, now: number, zone: string, footing?: Footing) => {
      again = () =>
        chart.setOption(option(log, units, now, colours(element), element.clientHeight, zone, footing) as echarts.EChartsCoreOption, {
          notMerge: true
        });
      again();
    },
    end: () => {
      resized.disconnect();
      chart.dispose();
    }
  };
}
