import { defineComponent, h, inject, onMounted, ref, watchEffect, type PropType } from 'vue'
import { useTexts } from '../texts'
import { BOX } from './boxContext'
import { Field, type FieldShown } from './Field'

/** The field of a box: the one that stood there before anybody turned to it, or another. */
export const SearchField = defineComponent({
  props: {
    list: { type: Object as PropType<FieldShown['list']>, default: null },
    /** Whether it stands where the box on the page does. */
    isInPage: { type: Boolean, required: true },
  },
  emits: { entered: () => true },
  setup(props, { emit, expose }) {
    const box = inject(BOX)!
    const { say } = useTexts()
    const resting = props.isInPage ? box.restingField() : null
    // Somebody may have gone on typing while this came.
    if (resting) box.text.value = resting.text
    const field = resting ?? new Field()
    const place = ref<HTMLElement>()
    field.answerTo({
      typed() {
        box.text.value = field.text
        box.typed()
      },
      entered: () => emit('entered'),
      key: box.key,
      clear: box.clear,
    })
    watchEffect(() => {
      field.show({
        arrangement: box.arrangement.value,
        named: box.named.value,
        placeholder: box.placeholder.value,
        says: { search: say('search'), clear: say('clear'), all: say('all'), searchIn: say('searchIn') },
        chooser: box.chooser.value,
        list: props.list,
      })
    })
    watchEffect(() => {
      field.text = box.text.value
    })
    onMounted(() => field.moveTo(place.value!))
    expose({ focus: () => field.input.focus() })
    return () => h('div', { ref: place, class: 'field-place' })
  },
})
