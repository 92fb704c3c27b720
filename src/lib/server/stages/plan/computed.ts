import { boxArrangements } from '$lib/core/build/box';
import { buildCalendar } from '$lib/core/plan/calendar';
import { chargerFits, chargingVerdicts, firstCharge, hardwareFor, shortfalls } from '$lib/core/plan/charging';
import { checkLabelFigures, type LabelCheck } from '$lib/core/plan/label';
import { compareLayouts, planLift, sizeParts } from '$lib/core/plan/layouts';
import { sumLoads } from '$lib/core/plan/loads';
import { WHOLE_BANK } from '$lib/core/foundation/verdicts';
import type * as input from '$lib/input/planning';

/** A label's figures against each other. @throws CoreError */
export const checkLabel = (label: input.LabelRequest): LabelCheck => checkLabelFigures(label);

/** What a plan computes, by its name in the API. Each throws CoreError where its input cannot be. */
export const PLANNING = {
	loads: ({ loads, inverter, standbyW }: input.LoadsRequest) =>
		sumLoads({ loads, inverter: inverter ?? null, standbyW: standbyW ?? 0 }),
	layouts: ({ cells, ...need }: input.LayoutsRequest) => ({ layouts: compareLayouts(cells, need) }),
	hardware: ({ kit, ...layout }: input.HardwareRequest) => {
		const plan = hardwareFor(layout);
		return { ...plan, missing: shortfalls(plan, kit ?? {}) };
	},
	firstCharge: (request: input.FirstChargeRequest) => firstCharge(request),
	charging: (request: input.ChargingRequest) => ({
		chargers: chargerFits(request),
		verdicts: chargingVerdicts(request, WHOLE_BANK)
	}),
	box: ({
		box: { insulationMm, endPlateMm, lidMm, cableMm, bms, fuse, ...inside },
		cell,
		cells
	}: input.BoxFitRequest) => ({
		arrangements: boxArrangements({
			box: inside,
			cell,
			cells,
			bms,
			fuse,
			insulationMm: insulationMm ?? undefined,
			endPlateMm: endPlateMm ?? undefined,
			lidMm: lidMm ?? undefined,
			cableMm: cableMm ?? undefined
		})
	}),
	lift: (request: input.LiftRequest) => planLift(request),
	parts: (request: input.PartsRequest) => sizeParts(request),
	calendar: ({ startOn, ...request }: input.CalendarRequest) => {
		const day = (ms: number) => new Date(ms).toISOString();
		const found = buildCalendar({ ...request, startMs: Date.parse(startOn) });
		return {
			steps: found.steps.map(({ step, startMs, endMs, critical }) => {
				return { step, startAt: day(startMs), endAt: day(endMs), critical };
			}),
			endAt: day(found.endMs),
			orderPartsBy: day(found.orderPartsByMs),
			claimUntil: day(found.claimUntilMs),
			standUntil: day(found.standUntilMs),
			handsH: found.handsH
		};
	}
};
