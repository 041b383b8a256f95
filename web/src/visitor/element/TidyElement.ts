import type { Component } from 'vue'
import { keptPlace } from '../address'
import type { Drawn } from './draw'
import { SearchElement } from './SearchElement'
import { showUntilDrawn } from './untilDrawn'
import { whenNear } from './whenNear'

/** Whatever a component of an element takes, by name. */
export type Given = Record<string, unknown>

/**
 * An element in which a component is drawn once its script has come. Nothing of that script comes before it is wanted,
 * so this knows none of it.
 */
export abstract class TidyElement extends SearchElement {
  /** What the component takes: attributes by their names, and what script sets. */
  protected readonly given: Given = {}
  private drawing: Promise<Drawn> | null = null
  /** What was drawn before has to be gone before anything else is drawn. */
  private ending: Promise<void> | null = null
  /** Ends waiting for it to come into view. */
  private stopWaiting = () => {}

  constructor() {
    super(true)
  }

  /** Whether something is drawn in it, or about to be. */
  protected get isDrawn(): boolean {
    return this.drawing !== null
  }

  /** The script of what is drawn. */
  protected abstract load(): Promise<Component>

  protected override begin(): void {
    this.stopWaiting()
    // Who comes back to a place below it has to find the page as long as it was.
    if (this.isDrawn || this.source !== 'live' || keptPlace() !== null) {
      this.near()
      return
    }
    this.stopWaiting = whenNear(
      this,
      () => this.search,
      () => this.near(),
    )
    // What the page has in it meanwhile is for those who get there otherwise than by scrolling.
    if (!this.isDrawn && this.root.childNodes.length === 0) showUntilDrawn(this.root)
  }

  /** Called once it is about to be seen. */
  protected near(): void {
    void this.draw()
  }

  protected override end(): void {
    this.stopWaiting()
    if (this.drawing) this.ending = this.drawing.then(drawn => drawn.end())
    this.drawing = null
  }

  attributeChangedCallback(name: string, _before: string | null, now: string | null): void {
    this.give(name, now ?? undefined)
  }

  protected give(name: string, value: unknown): void {
    this.given[name] = value
    void this.drawing?.then(drawn => drawn.give(name, value))
  }

  /** Draws what the element is made of, unless that is under way. */
  protected draw(): Promise<Drawn> {
    this.drawing ??= this.drawNow()
    return this.drawing
  }

  private async drawNow(): Promise<Drawn> {
    const [{ draw }, component] = await Promise.all([import('./draw'), this.load(), this.ending])
    const own = this.querySelector(':scope > template') ? (await import('../cards/OwnCard')).ownCardsIn(this) : null
    return draw(this, this.root, component, this.given, own)
  }
}
