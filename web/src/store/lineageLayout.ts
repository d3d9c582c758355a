import { graphlib, layout } from '@dagrejs/dagre'
import { dayOf, type Id, type Lineage, type LineageNode } from '@logged-thermal/core'

/** A box of the graph: one thing, or many of a day and a method together. */
export interface Box {
  key: string
  nodes: LineageNode[]
  name: string
  x: number
  y: number
  width: number
  height: number
}

export interface Graph {
  boxes: Box[]
  lines: { points: { x: number; y: number }[] }[]
  width: number
  height: number
}

/** More than this are put together by day and method. */
export const MANY = 40

/** What stands together: things of one kind, one name and one day. */
export function groupsOf(
  nodes: readonly LineageNode[],
  zone: string,
  apart: ReadonlySet<string>,
): Map<string, LineageNode[]> {
  const groups = new Map<string, LineageNode[]>()
  for (const node of nodes) {
    const together = `${node.type} ${node.name} ${dayOf(node.at, zone)}`
    const key = nodes.length <= MANY || apart.has(together) ? node.id : together
    groups.set(key, [...(groups.get(key) ?? []), node])
  }
  return groups
}

/** The lineage laid out from left to right. */
export function lineageGraph({ nodes, edges }: Lineage, zone: string, apart: ReadonlySet<string>): Graph {
  const groups = groupsOf(nodes, zone, apart)
  const keyOf = new Map<Id, string>([...groups].flatMap(([key, all]) => all.map(({ id }): [Id, string] => [id, key])))
  const graph = new graphlib.Graph()
  graph.setGraph({ rankdir: 'LR', nodesep: 12, ranksep: 56, marginx: 16, marginy: 16 })
  graph.setDefaultEdgeLabel(() => ({}))
  for (const [key] of groups) graph.setNode(key, { width: 230, height: 64 })
  for (const { parent, child } of edges) {
    const [from, to] = [keyOf.get(parent), keyOf.get(child)]
    if (from && to && from !== to) graph.setEdge(from, to)
  }
  layout(graph)
  const whole = graph.graph() as { width?: number; height?: number }
  return {
    boxes: [...groups].map(([key, all]) => ({ key, nodes: all, name: all[0]!.name, ...place(graph.node(key)) })),
    lines: graph
      .edges()
      .map((edge) => ({ points: (graph.edge(edge) as { points: { x: number; y: number }[] }).points })),
    width: whole.width ?? 0,
    height: whole.height ?? 0,
  }
}

function place(node: unknown): Pick<Box, 'x' | 'y' | 'width' | 'height'> {
  const { x, y, width, height } = node as Pick<Box, 'x' | 'y' | 'width' | 'height'>
  return { x: x - width / 2, y: y - height / 2, width, height }
}
