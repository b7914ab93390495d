export { uploadRoute as default } from '../../film/upload-route';
