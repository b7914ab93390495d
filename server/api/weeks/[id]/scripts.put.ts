import { WEEK_PARTS } from '#core/model/week';
import { weekPartRoute } from '../../../week-part-route';

export default weekPartRoute('scripts', WEEK_PARTS.scripts);
