/**
 * The settings in a model, one by one, so that each can be bound: `v-model="settings.order"`. Setting one gives the
 * model anew with that one changed, and leaves the value that was there as it is. For settings within settings:
 * `settingsOf(toRef(settings, 'shown'))`.
 */
export function settingsOf<T extends object>(model: { value: T }): T {
  const none = {} as T
  return new Proxy(none, {
    get: (_, name) => Reflect.get(model.value, name) as unknown,
    set: (_, name, value) => {
      model.value = { ...model.value, [name]: value as unknown }
      return true
    },
  })
}
