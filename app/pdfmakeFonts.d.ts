declare module 'pdfmake/build/standard-fonts/Helvetica' {
  import type { TFontContainer } from 'pdfmake/interfaces'
  const face: TFontContainer
  export default face
}
