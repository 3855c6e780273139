import en from 'element-plus/es/locale/lang/en'

const { el } = en

/** The words of Element Plus, with those of its colour picker as ours are. */
export const ELEMENT_WORDS = {
  ...en,
  el: {
    ...el,
    colorpicker: {
      ...el.colorpicker,
      defaultLabel: 'Colour',
      description: 'Now {color}. Press Enter to choose another colour.',
      hueLabel: 'Hue',
      hueDescription: 'Hue {hue}, now {color}',
      svLabel: 'Saturation and brightness',
      svDescription: 'Saturation {saturation}, brightness {brightness}, now {color}',
    },
  },
}
