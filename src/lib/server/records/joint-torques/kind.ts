import { InputError } from '$lib/input/validate';
import { defineKind } from '../kind';
import { OF_A_BATTERY, itsBattery } from '../of-a-battery';
import { JointTorqueInput } from './input';
import { jointTorques, type JointTorque } from './row';

export const jointTorqueKind = defineKind<JointTorque>({
	...OF_A_BATTERY,
	name: 'joint-torques',
	repository: jointTorques,
	called: ({ position, torqueNm }) => `joint ${position}, ${torqueNm} N·m`,
	createInput: JointTorqueInput,
	changeInput: JointTorqueInput,
	columns: ['id', 'batteryId', 'position', 'torqueNm', 'tightenedAt', 'notes'],
	async check(torque, tx, before) {
		const { series } = await itsBattery(torque, tx);
		if (torque.position > series && before?.position !== torque.position)
			throw new InputError([{ path: 'position', message: `position requires 0 to ${series}, got ${torque.position}` }]);
	}
});
