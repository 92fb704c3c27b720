import { Maybe, Num, Text } from './fields';

/** The maker's figures of a cell; null or missing takes the chemistry's default where there is one. */
export class CellFigures {
	@Num(0.1, 10_000) ratedAh!: number;
	@Maybe() @Num(0.001, 1000) acResistanceMohm?: number | null;
	@Maybe() @Num(1, 5) chargeLimitV?: number | null;
	@Maybe() @Num(0.5, 4.5) dischargeLimitV?: number | null;
	@Maybe() @Num(-60, 100) chargeColdC?: number | null;
	@Maybe() @Num(0, 120) chargeHotC?: number | null;
	@Maybe() @Num(-60, 100) dischargeColdC?: number | null;
	@Maybe() @Num(0, 120) dischargeHotC?: number | null;
	@Maybe() @Num(0.01, 50) chargeCRate?: number | null;
	@Maybe() @Num(0.01, 50) dischargeCRate?: number | null;
	@Maybe() @Num(5, 1000) widthMm?: number | null;
	@Maybe() @Num(5, 1000) thicknessMm?: number | null;
	@Maybe() @Num(5, 1000) heightMm?: number | null;
	@Maybe() @Num(0.01, 100) massKg?: number | null;
	@Maybe() @Text(60) terminal?: string | null;
	@Maybe() @Num(1, 50) holeDepthMm?: number | null;
	@Maybe() @Num(0.1, 100) torqueNm?: number | null;
}
