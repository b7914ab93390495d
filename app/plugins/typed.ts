import { typed } from '~/features/hands/typed';

/** Fields that are sent when they are left keep what is being typed in them. */
export default defineNuxtPlugin(({ vueApp }) => void vueApp.directive('typed', typed));
