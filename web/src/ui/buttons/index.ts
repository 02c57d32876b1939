export { default as LeaveOutButton } from './LeaveOutButton.vue';
export { default as LinkButton } from './LinkButton.vue';
export { default as ListedButton } from './ListedButton.vue';
export { default as LockButton } from './LockButton.vue';
