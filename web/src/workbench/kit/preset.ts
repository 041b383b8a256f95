import { definePreset } from '@primeuix/themes'
import Aura from '@primeuix/themes/aura'

/** PrimeVue in our own colours: calm paper, ink, deep sea green for actions, the lamp's amber for what is lit. */
export const LanternPreset = definePreset(Aura, {
  primitive: { borderRadius: { none: '0', xs: '4px', sm: '6px', md: '7px', lg: '10px', xl: '12px' } },
  semantic: {
    primary: {
      50: '#f1f7f6',
      100: '#e3efee',
      200: '#c3dcda',
      300: '#93bebb',
      400: '#4e918f',
      500: '#0e5f63',
      600: '#0c5357',
      700: '#0a4649',
      800: '#08383b',
      900: '#062c2e',
      950: '#041c1e',
    },
    focusRing: { width: '2px', style: 'solid', color: '#0e5f63', offset: '2px' },
    formField: { paddingX: '12px', paddingY: '8px', borderRadius: '7px' },
    colorScheme: {
      light: {
        primary: { color: '#0e5f63', contrastColor: '#ffffff', hoverColor: '#0a4649', activeColor: '#08383b' },
        surface: {
          0: '#ffffff',
          50: '#fbfaf6',
          100: '#f7f5ef',
          200: '#e2ddd0',
          300: '#cfc8b6',
          400: '#8f8873',
          500: '#5c6c74',
          600: '#45555d',
          700: '#33444d',
          800: '#24343d',
          900: '#1b2a33',
          950: '#111c23',
        },
        text: { color: '#1b2a33', hoverColor: '#1b2a33', mutedColor: '#5c6c74', hoverMutedColor: '#45555d' },
        formField: {
          borderColor: '#8f8873',
          hoverBorderColor: '#5c6c74',
          placeholderColor: '#5c6c74',
          iconColor: '#5c6c74',
          shadow: 'none',
        },
        content: { borderColor: '#e2ddd0' },
      },
    },
  },
  components: {
    button: {
      root: { label: { fontWeight: '600' }, paddingY: '7px', paddingX: '14px' },
      colorScheme: {
        light: {
          outlined: {
            secondary: {
              borderColor: '#8f8873',
              color: '#1b2a33',
              hoverBackground: '#ffffff',
              activeBackground: '#e2ddd0',
            },
          },
          text: { danger: { color: '#b3372b', hoverBackground: '#fdf3f1', activeBackground: '#fdf3f1' } },
        },
      },
    },
    togglebutton: {
      colorScheme: {
        light: {
          root: {
            background: '#e2ddd0',
            checkedBackground: '#e2ddd0',
            hoverBackground: '#e2ddd0',
            borderColor: '#e2ddd0',
            checkedBorderColor: '#e2ddd0',
            color: '#45555d',
            hoverColor: '#1b2a33',
            checkedColor: '#0a4649',
          },
          content: { checkedBackground: '#ffffff' },
        },
      },
    },
    toggleswitch: { colorScheme: { light: { root: { background: '#857e6b', hoverBackground: '#6f6958' } } } },
    slider: { track: { size: '4px' }, colorScheme: { light: { track: { background: '#cfc8b6' } } } },
    datatable: { headerCell: { padding: '9px 14px' }, bodyCell: { padding: '9px 14px' } },
  },
})
