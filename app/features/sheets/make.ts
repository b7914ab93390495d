import type { GradeSheet } from '#core/reports/grade-sheet';
import { download } from '~/features/playbook/files';
import { sheetsAsPdf, type Paper } from './pdf';

/** Makes a PDF of the sheets; what writes PDFs is fetched when somebody wants one. */
export async function pdfOf(sheets: readonly GradeSheet[], paper: Paper): Promise<Blob> {
  const [{ default: pdfMake }, { default: helvetica }] = await Promise.all([
    import('pdfmake/build/pdfmake'),
    import('pdfmake/build/standard-fonts/Helvetica'),
  ]);
  pdfMake.addFontContainer(helvetica);
  return pdfMake.createPdf(sheetsAsPdf(sheets, paper)).getBlob();
}

export const savePdf = async (name: string, sheets: readonly GradeSheet[], paper: Paper): Promise<void> =>
  download(`${name}.pdf`, await pdfOf(sheets, paper));
