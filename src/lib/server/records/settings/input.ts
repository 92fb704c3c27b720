import { DATE_STYLES, THEMES, UNIT_SYSTEMS, type Settings } from '$lib/core/foundation/units';
import { Num, OneOf, Text } from '$lib/input/fields';

export class SettingsInput implements Settings {
	@OneOf(UNIT_SYSTEMS) units!: Settings['units'];
	@OneOf(DATE_STYLES) dateStyle!: Settings['dateStyle'];
	@OneOf(THEMES) theme!: Settings['theme'];
	@Num(0, 24) wakeFromH!: number;
	@Num(0, 24) wakeUntilH!: number;
	@Text(8, 1) currency!: string;
	@Num(0, 10) voltMeterPercent!: number;
	@Num(0, 200) voltMeterCountsMv!: number;
	@Num(0, 50) ohmMeterPercent!: number;
	@Num(0, 10) ohmMeterCountsMohm!: number;
}
