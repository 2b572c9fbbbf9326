import { type CSSVariablesResolver, createTheme, type MantineColorsTuple } from '@mantine/core'
import type { MouseEvent } from 'react'
import segmented from './SegmentedControl.module.css'

const pine: MantineColorsTuple = [
  '#e8f4f0',
  '#d5e8e1',
  '#a9d3c6',
  '#7bbdaa',
  '#5cc3ac',
  '#2f8f7b',
  '#0b6b5b',
  '#095a4d',
  '#074a3f',
  '#053a32',
]

/** The library's dark greys in the hue of our own dark theme. */
const dark: MantineColorsTuple = [
  '#eceee9',
  '#c9cfc8',
  '#a9b2ab',
  '#7d877f',
  '#3a443f',
  '#2d3632',
  '#171c1a',
  '#1f2623',
  '#171c1a',
  '#101412',
]

const font = "'Archivo Variable', system-ui, sans-serif"

export const theme = createTheme({
  respectReducedMotion: true,
  fontFamily: font,
  headings: { fontFamily: font, fontWeight: '650' },
  primaryColor: 'pine',
  primaryShade: { light: 6, dark: 4 },
  autoContrast: true,
  colors: { pine, dark },
  defaultRadius: 'md',
  cursorType: 'pointer',
  components: {
    // The library writes white on a filled button in both themes; ours needs dark ink on the light pine of the dark one.
    Button: {
      vars: (_: unknown, { variant = 'filled' }: { variant?: string }) => ({
        root: variant === 'filled' ? { '--button-color': 'var(--pick-ink)' } : {},
      }),
    },
    // Opens at once: a mechanic with one hand free does not wait for an animation.
    Modal: { defaultProps: { transitionProps: { duration: 0 } } },
    Drawer: { defaultProps: { transitionProps: { duration: 0 } } },
    Menu: { defaultProps: { transitionProps: { duration: 0 } } },
    // Grows with what is written by the browser's own means: the library would lay the page out with every drawing.
    Textarea: { styles: { input: { fieldSizing: 'content', height: 'auto' } } },
    // Forgets what was chosen: the same file can be chosen again after it was mended, or left.
    FileButton: {
      defaultProps: {
        inputProps: {
          onClick: (event: MouseEvent<HTMLInputElement>) => {
            event.currentTarget.value = ''
          },
        },
      },
    },
    SegmentedControl: { defaultProps: { transitionDuration: 0 }, classNames: segmented },
    Select: { defaultProps: { allowDeselect: false, comboboxProps: { transitionProps: { duration: 0 } } } },
  },
})

/** The component library's own variables point at our roles, so that both follow the theme. */
const roles = {
  '--mantine-color-body': 'var(--panel)',
  '--mantine-color-text': 'var(--ink)',
  '--mantine-color-default': 'var(--field)',
  '--mantine-color-default-border': 'var(--line)',
  '--mantine-color-default-color': 'var(--ink)',
  '--mantine-color-default-hover': 'var(--pick-soft)',
  '--mantine-color-dimmed': 'var(--soft)',
  '--mantine-color-placeholder': 'var(--soft)',
  '--mantine-color-error': 'var(--stop)',
}
export const cssVariables: CSSVariablesResolver = () => ({ variables: {}, light: roles, dark: roles })
