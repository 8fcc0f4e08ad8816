/** Vuetify colours of the two grounds; the same tokens stand as CSS variables in assets/main.css. */
const roles = (c: { paper: string, sheet: string, ink: string, now: string, careful: string, kept: string, mark: string }) => ({
  'background': c.paper,
  'surface': c.sheet,
  'surface-variant': c.sheet,
  'on-background': c.ink,
  'on-surface': c.ink,
  'primary': c.ink,
  'on-primary': c.sheet,
  'secondary': c.mark,
  'error': c.now,
  'warning': c.careful,
  'success': c.kept,
})

export const day = { dark: false, colors: roles({ paper: '#F5EFE2', sheet: '#FFFAEF', ink: '#1F1B15', now: '#A8320A', careful: '#7A5200', kept: '#2F5D3A', mark: '#5B2A5E' }) }
export const night = { dark: true, colors: roles({ paper: '#120D09', sheet: '#1C150E', ink: '#E2A75E', now: '#FF7A3D', careful: '#E3C05A', kept: '#A9B878', mark: '#D59AD0' }) }

/** Depth tint, shallow to deep. */
export const DEPTH_TINTS = {
  day: ['#EEF0D6', '#DAE0BE', '#BFCDA8', '#9FB59A', '#839A90', '#6F7D85', '#5C5E74', '#483F5F', '#331F43'],
  night: ['#4A4A38', '#424534', '#3A4031', '#323A31', '#2B3231', '#262A30', '#21212B', '#1B1824', '#150F1B'],
}

/** Water temperature, cold to warm. */
export const TEMPERATURE_TINTS = {
  day: ['#F6EFD9', '#F2E0B8', '#ECCD96', '#E2B574', '#D59A57', '#C27C41', '#A95F31', '#8A4425', '#66301C'],
  night: ['#4E4130', '#56422A', '#5F4226', '#694222', '#74411F', '#80401C', '#8D3E1A', '#9B3B17', '#AA3813'],
}
