declare module 'pdfmake/build/standard-fonts/Helvetica' {
  import type { TFontContainer } from 'pdfmake/interfaces';

  const container: TFontContainer;
  export default container;
}
