/**
 * Visible spectra are sampled at 31 wavelengths, 400 to 700 nm in steps of 10 nm.
 * Colour matching functions: CIE 1931 2° standard observer, the published 10 nm table.
 */
export const BANDS = 31;
export const WAVELENGTHS_NM: readonly number[] = Array.from({ length: BANDS }, (_, i) => 400 + 10 * i);

export type Spectrum = Float64Array;

export const X_BAR = Float64Array.from([
  0.01431, 0.04351, 0.13438, 0.2839, 0.34828, 0.3362, 0.2908, 0.19536, 0.09564, 0.03201, 0.0049, 0.0093,
  0.06327, 0.1655, 0.2904, 0.43345, 0.5945, 0.7621, 0.9163, 1.0263, 1.0622, 1.0026, 0.85445, 0.6424, 0.4479,
  0.2835, 0.1649, 0.0874, 0.04677, 0.0227, 0.01136,
]);
export const Y_BAR = Float64Array.from([
  0.000396, 0.00121, 0.004, 0.0116, 0.023, 0.038, 0.06, 0.09098, 0.13902, 0.20802, 0.323, 0.503, 0.71, 0.862,
  0.954, 0.99495, 0.995, 0.952, 0.87, 0.757, 0.631, 0.503, 0.381, 0.265, 0.175, 0.107, 0.061, 0.032, 0.017,
  0.00821, 0.004102,
]);
export const Z_BAR = Float64Array.from([
  0.06785, 0.2074, 0.6456, 1.3856, 1.74706, 1.77211, 1.6692, 1.28764, 0.81295, 0.46518, 0.272, 0.1582,
  0.07825, 0.04216, 0.0203, 0.00875, 0.0039, 0.0021, 0.00165, 0.0011, 0.0008, 0.00034, 0.00019, 0.00005,
  0.00002, 0, 0, 0, 0, 0, 0,
]);

/** A spectrum from a function of wavelength, 400–700 nm by 10 nm. */
export function spectrum(at: (nm: number) => number): Spectrum {
  return Float64Array.from(WAVELENGTHS_NM, at);
}
