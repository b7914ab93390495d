import type { Paper, Sheet } from '#core/paper/sheet';
import { download } from '~/features/playbook/files';
import { renderSheets } from './render';

/** Makes a PDF of the sheets; what writes PDFs is fetched when somebody wants one. */
export async function pdfOf(sheets: readonly Sheet[], paper: Paper): Promise<Blob> {
  const [{ default: pdfMake }, { default: helvetica }] = await Promise.all([
    import('pdfmake/build/pdfmake'),
    import('pdfmake/build/standard-fonts/Helvetica'),
  ]);
  pdfMake.addFontContainer(helvetica);
  return pdfMake.createPdf(renderSheets(sheets, paper)).getBlob();
}

export const savePdf = async (name: string, sheets: readonly Sheet[], paper: Paper): Promise<void> =>
  download(`${name}.pdf`, await pdfOf(sheets, paper));
