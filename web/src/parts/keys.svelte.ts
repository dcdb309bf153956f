import { push, router } from 'svelte-spa-router'
import { bakery } from './bakery.svelte'
import { today } from './day.svelte'
import { placeOf, places, screens } from './places'
import { theme } from './theme.svelte'

const kept = 'lumpet-keys'

/** Single keys for places and for what is done most. They can be switched off, for those whose tools type by themselves. */
class Keys {
  isHelpOpen = $state(false)
  isOn = $state(localStorage.getItem(kept) !== 'off')

  switch() {
    this.isOn = !this.isOn
    localStorage.setItem(kept, this.isOn ? 'on' : 'off')
  }

  /** Does what a key means, unless someone is typing. */
  press(event: KeyboardEvent) {
    if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented || isTyping(event.target)) return
    if (event.key === '?') {
      event.preventDefault()
      this.isHelpOpen = !this.isHelpOpen
      return
    }
    if (!this.isOn || this.isHelpOpen) return
    const place = places.find((one) => one.key === event.key)
    const screen = screens.find((one) => one.key === event.key)
    if (screen) go(event, `/${screen.id}`)
    else if (place) go(event, `/${place.id}${place.ofDay && today.day ? `/${today.day}` : ''}`)
    else if (event.key === 'n') newOrder(event)
    else if (event.key === 't') theme.toggle()
    else if (event.key === ',' || event.key === '.') otherDay(event, event.key === '.' ? 1 : -1)
  }
}

function isTyping(target: EventTarget | null): boolean {
  return target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|SELECT|TEXTAREA)$/.test(target.tagName))
}

function go(event: KeyboardEvent, address: string) {
  event.preventDefault()
  void push(address)
}

function newOrder(event: KeyboardEvent) {
  event.preventDefault()
  if (placeOf(router.location).id !== 'orders') void push(`/orders${today.day ? `/${today.day}` : ''}`)
  focusSoon('order-line', 40)
}

/** Focuses an element that may be about to be drawn. */
function focusSoon(id: string, tries: number) {
  const element = document.getElementById(id)
  if (element) element.focus()
  else if (tries > 0) setTimeout(() => focusSoon(id, tries - 1), 50)
}

function otherDay(event: KeyboardEvent, by: number) {
  const place = placeOf(router.location)
  const days = bakery.current?.days ?? []
  const next = days[days.findIndex((day) => day.day === today.day) + by]
  if (place.ofDay && next) go(event, `/${place.id}/${next.day}`)
}

export const keys = new Keys()
