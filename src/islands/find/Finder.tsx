import { Command } from 'cmdk'
import { Dialog } from 'radix-ui'
import { lazy, type ReactNode, Suspense, useMemo, useState } from 'react'
import type { Found } from '../../core/logbook/find'
import { whyNotIn } from '../../core/logbook/why-not'
import { STATIONS } from '../../data/stations'
import { useOwnGrades, useRecipes } from '../../store/hooks'
import { FOUND_KINDS, foundWords } from '../../words/finder'
import { useAnswer } from '../../workers/use-answer'
import { saveEverything } from '../save-everything'
import { useShopNow } from '../shop-context'
import { redo, undo } from '../undo'

const WhyNotFound = lazy(() => import('./WhyNotFound'))

interface Props {
  readonly open: boolean
  readonly onOpen: (open: boolean) => void
  readonly onKeys: () => void
}

const NOTHING_YET: readonly Found[] = []

/** A thing one can do or go to from anywhere. */
interface Action {
  readonly name: string
  /** Other words that lead to it. */
  readonly words: string
  readonly act: () => void
}

const goTo = (href: string) => location.assign(href)

const PLACES: readonly Action[] = [
  ['Today', '/', 'next hot waiting'],
  ['Batches', '/batches', 'list'],
  ['Recipes', '/recipes', 'routes map'],
  ['Steels', '/steels', 'grades'],
  ['Which steel for a use?', '/steels?view=suggest', 'choose suggest'],
  ['Workshop', '/workshop', 'settings units ovens plates foil cold tester back-up data export import'],
  ['Logbook', '/logbook', 'readings trends'],
  ['The whole job on a sheet for the wall', '/wall', 'print guide help safety'],
  ['Set up the workshop step by step', '/start', 'first hour begin'],
].map(([name, href, words]) => ({ name: name as string, words: words as string, act: () => goTo(href as string) }))

const HREFS: Readonly<Record<Found['kind'], (found: Found) => string>> = {
  batch: ({ id }) => `/batch/${id}/choose`,
  blade: ({ id }) => `/blade/${id}`,
  steel: ({ id }) => `/steels?grade=${encodeURIComponent(id)}`,
  recipe: ({ id }) => `/recipe/${id}`,
  oven: ({ id }) => `/oven/${id}`,
}

/** One field that finds everything: things by any of their names, stations of this batch, places and actions. */
export default function Finder({ open, onOpen, onKeys }: Props) {
  return (
    <Dialog.Root open={open} onOpenChange={onOpen}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-30 bg-[#1c1713]/60" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-[10vh] left-1/2 z-40 w-[min(640px,calc(100vw-24px))] -translate-x-1/2 bg-ash text-ink"
        >
          <Dialog.Title className="sr-only">Find</Dialog.Title>
          <Search onDone={() => onOpen(false)} onKeys={onKeys} />
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}

function Search({ onDone, onKeys }: { onDone: () => void; onKeys: () => void }) {
  const shop = useShopNow()
  const [text, setText] = useState('')
  const own = useOwnGrades()
  const recipes = useRecipes()
  const named = useMemo(
    () => ({
      recipes: (recipes ?? []).map(({ id, name, gradeName }) => ({ id, name, gradeName })),
      ovens: shop.ovens.map(({ id, name }) => ({ id, name })),
      own: (own ?? []).map(({ id, name, alsoNamed }) => ({ id, name, alsoNamed })),
    }),
    [own, recipes, shop.ovens],
  )
  const asksWhy = whyNotIn(text, []) !== null
  const isAsked = text.trim() !== '' && !asksWhy
  const answer = useAnswer(
    'find',
    useMemo(() => (isAsked ? { ...named, text } : null), [named, text, isAsked]),
  )
  const found: readonly Found[] = isAsked && answer?.ok ? answer.value : NOTHING_YET
  const actions = useMemo(() => [...actionsHere(onKeys), ...PLACES], [onKeys]).filter(action => fits(action, text))
  /** The dialog goes first: what is done may open another. */
  const run = (act: () => void) => {
    onDone()
    setTimeout(act)
  }
  return (
    <Command label="Find" shouldFilter={false} loop>
      <Command.Input
        autoFocus
        value={text}
        onValueChange={setText}
        placeholder="A batch, a blade’s mark or serial, a steel by any name, an action, “why not 61” …"
        className="field min-h-14 !border-0 !border-b !border-rule-strong text-lead"
      />
      {asksWhy && (
        <Suspense fallback={<p className="p-4 text-ink-2">Looking …</p>}>
          <WhyNotFound text={text} batchId={batchHere()} />
        </Suspense>
      )}
      <Command.List className="max-h-[60vh] overflow-y-auto">
        {isAsked && !answer && <p className="p-4 text-ink-2">Looking through the log …</p>}
        {isAsked && answer && (
          <Command.Empty className="p-4 text-ink-2">
            Nothing is called that, and no note says it. Try a part of the name.
          </Command.Empty>
        )}
        {Object.entries(FOUND_KINDS).map(([kind, heading]) => {
          const ofKind = found.filter(f => f.kind === kind)
          return (
            ofKind.length > 0 && (
              <Group key={kind} heading={heading}>
                {ofKind.map(f => {
                  const href = HREFS[f.kind](f)
                  const { name, more } = foundWords(f)
                  return <Item key={href} value={href} name={name} more={more} onSelect={() => run(() => goTo(href))} />
                })}
              </Group>
            )
          )
        })}
        {actions.length > 0 && (
          <Group heading="Go to, and do">
            {actions.map(({ name, act }) => (
              <Item key={name} value={name} name={name} more="" onSelect={() => run(act)} />
            ))}
          </Group>
        )}
      </Command.List>
    </Command>
  )
}

const fits = ({ name, words }: Action, text: string): boolean =>
  text
    .toLowerCase()
    .split(/\s+/)
    .every(word => `${name} ${words}`.toLowerCase().includes(word))

/** Returns the id of the batch that this page shows, or null. */
const batchHere = (): string | null => /^\/(?:batch|run|practice|print)\/([^/]+)/.exec(location.pathname)?.[1] ?? null

/** Returns the actions of this page, and the stations of its batch. */
function actionsHere(onKeys: () => void): Action[] {
  const batchId = batchHere()
  return [
    { name: 'New batch', words: 'begin start blades', act: () => goTo('/batches?new') },
    { name: 'Undo', words: 'take back', act: () => void undo() },
    { name: 'Redo', words: 'do again', act: () => void redo() },
    { name: 'Show the keys of this view', words: 'help shortcuts keyboard', act: onKeys },
    { name: 'Save everything to a file', words: 'back-up export', act: () => void saveEverything() },
    ...(batchId
      ? [
          ...STATIONS.map(station => ({
            name: `${station.charAt(0).toUpperCase()}${station.slice(1)}, in this batch`,
            words: 'station bench',
            act: () => goTo(`/batch/${batchId}/${station}`),
          })),
          { name: 'Run this batch', words: 'hot start practice', act: () => goTo(`/run/${batchId}`) },
          { name: 'Print this batch', words: 'labels cut list programme', act: () => goTo(`/print/${batchId}`) },
        ]
      : []),
  ]
}

const Group = ({ heading, children }: { heading: string; children: ReactNode }) => (
  <Command.Group
    heading={heading}
    className="[&>[cmdk-group-heading]]:px-4 [&>[cmdk-group-heading]]:pt-3 [&>[cmdk-group-heading]]:text-note [&>[cmdk-group-heading]]:text-ink-2"
  >
    {children}
  </Command.Group>
)

const Item = ({ value, name, more, onSelect }: { value: string; name: string; more: string; onSelect: () => void }) => (
  <Command.Item
    value={value}
    onSelect={onSelect}
    className="flex min-h-touch cursor-pointer items-center justify-between gap-3 px-4 data-[selected=true]:bg-ember-wash"
  >
    <span className="min-w-0 truncate font-semibold" title={name}>
      {name}
    </span>
    <span className="min-w-0 truncate text-small text-ink-2" title={more}>
      {more}
    </span>
  </Command.Item>
)
