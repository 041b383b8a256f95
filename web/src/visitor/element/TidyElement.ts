import type { Component } from 'vue'
import type { Drawn } from './draw'
import { SearchElement } from './SearchElement'

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
    void this.draw()
  }

  protected override end(): void {
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
