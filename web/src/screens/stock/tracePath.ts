import type { Schemas } from '../../api/client'

type Step = Schemas['TraceStepAnswer']

/** Something on the way: a lot, an order, or what nobody knows the lot of. */
export interface PathNode {
  id: string
  column: number
  row: number
  title: string
  lines: string[]
  /** Where it leads; null where it cannot be traced on. */
  href: string | null
  isUnknown: boolean
}

/** From one to the other. */
export interface PathLine {
  from: PathNode
  to: PathNode
}

/** Where everything stands when a way is drawn from left to right: columns by how many hands it went through, rows as it comes. */
export function pathOf(
  before: Step[],
  after: Step[],
  start: Schemas['TraceLotAnswer'][],
): { nodes: PathNode[]; lines: PathLine[] } {
  const nodes = new Map<string, PathNode>()
  const edges = new Map<string, [string, string]>()
  const add = (id: string, title: string, lines: string[], href: string | null, isUnknown = false) => {
    if (!nodes.has(id)) nodes.set(id, { id, column: 0, row: 0, title, lines, href, isUnknown })
    return id
  }
  const lot = (one: Schemas['TraceLotAnswer']) =>
    add(
      one.lot,
      one.name,
      [one.code ? `lot ${one.code}` : 'no lot number', one.isMade ? one.amount : one.supplier].filter(Boolean),
      `#/trace/lots/${one.lot}`,
    )
  const edge = (from: string, to: string) => edges.set(`${from} ${to}`, [from, to])
  for (const one of start) lot(one)
  // What else went into what a lot went into is not on its way.
  const led = new Set([...start, ...after.flatMap((step) => step.to)].map((one) => one.lot))
  for (const step of [...before, ...after]) {
    const isAfter = after.includes(step)
    const to = step.to.map(lot)
    const from = step.from.filter((one) => !isAfter || led.has(one.lot)).map(lot)
    const unknown = (isAfter ? [] : step.unknown).map((words) =>
      add(`${step.number} ${words}`, words, ['of no known lot'], null, true),
    )
    for (const target of to) for (const source of [...from, ...unknown]) edge(source, target)
    for (const order of step.orders)
      for (const source of to)
        edge(
          source,
          add(
            `order ${order.order}`,
            order.forWhom || 'Counter',
            [`${order.pies} ${order.product}`, order.pickUp],
            `#/trace/orders/${order.order}`,
          ),
        )
  }
  // As far to the right as what leads there asks for; what nothing leads to stands beside what it goes into.
  const into = Map.groupBy([...edges.values()], ([, to]) => to)
  const depth = new Map<string, number>()
  const depthOf = (id: string): number => {
    const known = depth.get(id)
    if (known !== undefined) return known
    depth.set(id, 0)
    const found = Math.max(-1, ...(into.get(id) ?? []).map(([from]) => depthOf(from))) + 1
    depth.set(id, found)
    return found
  }
  const out = Map.groupBy([...edges.values()], ([from]) => from)
  for (const id of nodes.keys()) depthOf(id)
  const rows = new Map<number, number>()
  for (const [id, node] of nodes) {
    const nexts = (out.get(id) ?? []).map(([, to]) => depthOf(to))
    node.column = !into.has(id) && nexts.length > 0 ? Math.min(...nexts) - 1 : depthOf(id)
    node.row = rows.get(node.column) ?? 0
    rows.set(node.column, node.row + 1)
  }
  return {
    nodes: [...nodes.values()],
    lines: [...edges.values()].map(([from, to]) => ({
      from: nodes.get(from) as PathNode,
      to: nodes.get(to) as PathNode,
    })),
  }
}
