import { definePreset } from '@primeuix/themes';
import base from '@primeuix/themes/aura/base';
import button from '@primeuix/themes/aura/button';
import iconfield from '@primeuix/themes/aura/iconfield';
import inputtext from '@primeuix/themes/aura/inputtext';
import select from '@primeuix/themes/aura/select';
import virtualscroller from '@primeuix/themes/aura/virtualscroller';

/** What is taken of the shipped look: only the components that are used, and what they are made of. */
const shipped = { ...base, components: { button, iconfield, inputtext, select, virtualscroller } };

/** PrimeVue's components in the product's own tokens: one set of CSS variables, two themes. */
export const chalkPreset = definePreset(shipped, {
  semantic: {
    primary: {
      50: '#f6f1fc',
      100: '#ebe1f8',
      200: '#d8c5f2',
      300: '#bf9fe8',
      400: '#a277da',
      500: '#7d49bd',
      600: '#5a2ca0',
      700: '#4a2385',
      800: '#3b1b6b',
      900: '#2d1453',
      950: '#1e0c3a',
    },
    focusRing: { width: '2px', style: 'solid', color: 'var(--violet)', offset: '2px' },
    colorScheme: Object.fromEntries(
      ['light', 'dark'].map((scheme) => [
        scheme,
        {
          primary: {
            color: 'var(--violet)',
            contrastColor: 'var(--on-violet)',
            hoverColor: 'var(--violet)',
            activeColor: 'var(--violet)',
          },
          surface: {
            0: 'var(--sheet)',
            50: 'var(--ground)',
            100: 'var(--wash)',
            200: 'var(--rule)',
            300: 'var(--rule)',
            400: 'var(--soft)',
            500: 'var(--soft)',
            600: 'var(--soft)',
            700: 'var(--ink)',
            800: 'var(--ink)',
            900: 'var(--ink)',
            950: 'var(--ink)',
          },
          text: {
            color: 'var(--ink)',
            hoverColor: 'var(--ink)',
            mutedColor: 'var(--soft)',
            hoverMutedColor: 'var(--soft)',
          },
          content: {
            background: 'var(--sheet)',
            hoverBackground: 'var(--wash)',
            borderColor: 'var(--rule)',
            color: 'var(--ink)',
            hoverColor: 'var(--ink)',
          },
          overlay: {
            select: { background: 'var(--sheet)', borderColor: 'var(--rule)', color: 'var(--ink)' },
            popover: { background: 'var(--sheet)', borderColor: 'var(--rule)', color: 'var(--ink)' },
          },
          formField: {
            background: 'var(--sheet)',
            borderColor: 'var(--soft)',
            hoverBorderColor: 'var(--ink)',
            focusBorderColor: 'var(--violet)',
            color: 'var(--ink)',
            placeholderColor: 'var(--soft)',
          },
          list: {
            option: {
              focusBackground: 'var(--wash)',
              selectedBackground: 'var(--wash)',
              selectedFocusBackground: 'var(--wash)',
              color: 'var(--ink)',
              focusColor: 'var(--ink)',
              selectedColor: 'var(--violet)',
              selectedFocusColor: 'var(--violet)',
            },
          },
        },
      ]),
    ),
  },
});
