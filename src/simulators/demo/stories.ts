import type { BladeState } from '../../data/blade-states'
import type { EdgeTestKind } from '../../data/edge-tests'

/** Events of the demo year, oldest last. A shop on a made-up island coast: kitchen, fishing and boat knives. */
export interface Story {
  readonly name: string
  readonly daysAgo: number
  readonly groups: readonly {
    readonly grade: string
    /** [mark, length, width, spine, count] in mm. */
    readonly blades: readonly (readonly [
      mark: string,
      lengthMm: number,
      widthMm: number,
      thicknessMm: number,
      count: number,
    ])[]
    /** Name of the bar the blades were cut from. */
    readonly lot?: string
    /** Moves the suggested austenitize temperature, K. */
    readonly hotterK?: number
    /** Moves the suggested tempers, K. */
    readonly temperK?: number
    /** It is the changed half of a trial beside this one of the batch's steels. */
    readonly beside?: number
    readonly symptom?: 'chips' | 'rolls'
    readonly note?: string
  }[]
  /** Mark of a blade whose packet leaked: it reads low. */
  readonly leaked?: string
  readonly note: string
  /** Outcomes of single blades, by their marks. */
  readonly cameTo?: readonly {
    readonly mark: string
    readonly is: BladeState
    readonly why: string
    readonly to?: string
  }[]
  /** A blade that was annealed and hardened again so many days ago, in a batch of its own. */
  readonly again?: { readonly mark: string; readonly daysAgo: number; readonly why: string }
  /** How its edges were proved: the test, the angle a side, and the hardness at which such an edge holds best here. */
  readonly edges?: {
    readonly kind: EdgeTestKind
    readonly amount: number
    readonly edgeDeg: number
    readonly holdsAtHrc: number
  }
  /** A batch not yet hot. */
  readonly planned?: boolean
}

export const SHOP_NAME = 'Tide House, Ternholm'
export const OVEN_NAME = 'Old Gannet'

/** How bars of the made-up year differ from their grade's figures, HRC. */
export const LOT_OFFSETS: Readonly<Record<string, number>> = {
  'gull 1': -0.4,
  'gull 2': 0,
  'eider 4': -0.5,
  'tern 9': 0.2,
}

export const STORIES: readonly Story[] = [
  {
    name: 'Skerry fillets and galley knives',
    daysAgo: 1,
    planned: true,
    note: 'Order for the harbour kitchen. Fillets thin and keen, galley knives to take knocks.',
    groups: [
      {
        grade: 'X65Cr13',
        lot: 'gull 2',
        blades: [
          ['A', 285, 32, 2.2, 5],
          ['B', 255, 44, 2.4, 4],
        ],
      },
      { grade: 'X105CrMo17', lot: 'eider 4', blades: [['C', 310, 48, 3.1, 2]] },
    ],
  },
  {
    name: 'Boat knives, spring refit',
    daysAgo: 12,
    note: 'Same route as last time; nothing changed on purpose.',
    edges: { kind: 'rope-cuts', amount: 60, edgeDeg: 18, holdsAtHrc: 59 },
    groups: [{ grade: 'X105CrMo17', lot: 'eider 4', blades: [['A', 230, 38, 3.4, 6]] }],
  },
  {
    name: 'Paring set for the inn',
    daysAgo: 26,
    note: '',
    groups: [{ grade: 'X50CrMoV15', blades: [['P', 190, 24, 1.8, 8]] }],
  },
  {
    name: 'Bait knives, temper trial',
    daysAgo: 33,
    note: 'Trial beside a control: half of them is tempered 30 °C hotter. The edges are still to be proved.',
    groups: [
      { grade: 'X65Cr13', lot: 'gull 2', blades: [['T', 225, 34, 2.4, 4]] },
      { grade: 'X65Cr13', lot: 'gull 2', blades: [['TX', 225, 34, 2.4, 4]], temperK: 30, beside: 0 },
    ],
  },
  {
    name: 'Soak trial, 15 °C hotter',
    daysAgo: 41,
    note: 'Trial beside a control: only the soak differs, 15 K hotter.',
    edges: { kind: 'rope-cuts', amount: 80, edgeDeg: 17, holdsAtHrc: 60.3 },
    groups: [
      { grade: 'X65Cr13', lot: 'gull 2', blades: [['K', 250, 40, 2.4, 6]] },
      { grade: 'X65Cr13', lot: 'gull 2', blades: [['KX', 250, 40, 2.4, 6]], hotterK: 15, beside: 0 },
    ],
  },
  {
    name: 'Net knives',
    daysAgo: 70,
    note: 'A3 came out with dark scale: hole in the foil at the tip.',
    leaked: 'A3',
    groups: [{ grade: 'X65Cr13', lot: 'gull 2', blades: [['A', 215, 30, 2.6, 6]] }],
  },
  {
    name: 'Oyster and bait knives',
    daysAgo: 98,
    note: '',
    groups: [
      { grade: 'X50CrMoV15', blades: [['A', 165, 26, 3, 5]] },
      { grade: 'X100CrMoV5', blades: [['B', 240, 36, 3.2, 3]] },
    ],
  },
  {
    name: 'Thin slicers, first try',
    daysAgo: 131,
    note: 'Chipped at 15° a side on the board; tempered once more.',
    edges: { kind: 'card-cuts', amount: 200, edgeDeg: 15, holdsAtHrc: 59.3 },
    groups: [{ grade: 'X153CrMoV12', lot: 'tern 9', blades: [['A', 300, 42, 2.2, 4]], symptom: 'chips' }],
  },
  {
    name: 'Galley knives for the ferry',
    daysAgo: 166,
    note: 'Nine went in, eight came out: A5 fell behind the oven and was found cold.',
    edges: { kind: 'rope-cuts', amount: 60, edgeDeg: 16, holdsAtHrc: 58.6 },
    cameTo: [
      { mark: 'A5', is: 'lost', why: 'fell behind the oven, found cold and bent' },
      { mark: 'B1', is: 'sold', why: '', to: 'the ferry’s cook' },
    ],
    groups: [
      { grade: 'X105CrMo17', lot: 'eider 4', blades: [['A', 290, 46, 3, 5]] },
      { grade: 'X65Cr13', lot: 'gull 1', blades: [['B', 240, 34, 2.2, 4]] },
    ],
  },
  {
    name: 'Rigging knives',
    daysAgo: 203,
    note: '',
    edges: { kind: 'hardwood', amount: 40, edgeDeg: 20, holdsAtHrc: 59.6 },
    groups: [{ grade: 'X100CrMoV5', blades: [['A', 225, 34, 4, 6]] }],
  },
  {
    name: 'Lighthouse kitchen',
    daysAgo: 247,
    note: '',
    groups: [
      {
        grade: 'X65Cr13',
        lot: 'gull 1',
        blades: [
          ['A', 320, 48, 2.6, 3],
          ['B', 200, 28, 2, 4],
        ],
      },
    ],
  },
  {
    name: 'Choppers',
    daysAgo: 289,
    again: { mark: 'A2', daysAgo: 281, why: 'the edge chipped on bone and crumbled: a coarse grain' },
    note: '',
    groups: [{ grade: 'X153CrMoV12', lot: 'tern 9', blades: [['A', 270, 70, 4, 3]] }],
  },
  {
    name: 'First stainless batch',
    daysAgo: 340,
    note: 'New oven, first heats.',
    groups: [{ grade: 'X65Cr13', lot: 'gull 1', blades: [['A', 240, 36, 2.5, 4]] }],
  },
  {
    // Last, so that what chance makes of the others stays as it is.
    name: 'Cheese knives for the dairy',
    daysAgo: 2,
    planned: true,
    note: 'To go into the oven on the same day as the fillets, if it can be.',
    groups: [{ grade: 'X50CrMoV15', blades: [['W', 210, 46, 2.2, 3]] }],
  },
]
