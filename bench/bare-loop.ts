/**
 * The arithmetic of the simulation and nothing else: one function over typed arrays, no objects, no checks, no choice of chemistry,
 * wiring or limits. The baseline the engine is measured against.
 */
export function bareLoop(
	groups: number,
	parallel: number,
	steps: number,
	chargeA: number,
	coefficients: Float64Array
): number {
	const n = groups * parallel;
	const array = (value: number) => new Float64Array(n).fill(value);
	const [soc, surface, fast, hysteresis, temperature] = [array(0.5), array(0), array(0), array(0), array(25)];
	const [surfaceV, slopeV, bulkV, current, memberV, memberOhm] = [
		array(3.29),
		array(0.1),
		array(3.29),
		array(0),
		array(0),
		array(0)
	];
	const [heat, through, leaked, unstored] = [array(0), array(0), array(0), array(0)];
	const [r0, r1, kappa, link, capacity] = [array(0.05 / 280), array(0.03 / 280), array(0.03), array(1e-4), array(280)];
	const [groupV, groupOhm, balance, kept] = [
		new Float64Array(groups),
		new Float64Array(groups),
		new Float64Array(groups),
		new Float64Array(n)
	];
	for (let i = 0; i < n; i++) soc[i]! += i / 1000;
	const surfaceDecay = Math.exp(-1 / 1500);
	const fastDecay = Math.exp(-1 / 30);
	const halfSurface = Math.exp(-0.5 / 1500);
	const halfFast = Math.exp(-0.5 / 30);
	const heatCapacity = 5.6 * 1000;
	let wh = 0;
	for (let step = 0; step < steps; step++) {
		const setA = step < steps / 2 ? chargeA : -chargeA * 0.8;
		for (let pass = 0; pass < 2; pass++) {
			let sumV = 0;
			let sumOhm = 0;
			for (let g = 0; g < groups; g++) {
				let siemens = 0;
				let amperes = 0;
				for (let k = g * parallel; k < (g + 1) * parallel; k++) {
					if (pass === 0) {
						memberV[k] = surfaceV[k]! + hysteresis[k]! + fast[k]!;
						memberOhm[k] = r0[k]! + link[k]!;
					} else {
						memberV[k] =
							surfaceV[k]! + hysteresis[k]! + slopeV[k]! * surface[k]! * (halfSurface - 1) + fast[k]! * halfFast;
						memberOhm[k] =
							r0[k]! +
							link[k]! +
							(slopeV[k]! * (1 / 7200 + kappa[k]! * (1 - halfSurface))) / capacity[k]! +
							r1[k]! * (1 - halfFast);
					}
					siemens += 1 / memberOhm[k]!;
					amperes += memberV[k]! / memberOhm[k]!;
				}
				groupOhm[g] = 1 / siemens;
				groupV[g] = amperes / siemens;
				sumV += groupV[g]! + balance[g]! * groupOhm[g]!;
				sumOhm += groupOhm[g]!;
			}
			const byVoltage = Math.max(0, (56.8 - sumV) / (sumOhm + 0.01));
			const amperes = setA > 0 ? Math.min(setA, byVoltage) : setA;
			let lowest = Infinity;
			let highest = -Infinity;
			for (let g = 0; g < groups; g++) {
				const v = groupV[g]! + (amperes + balance[g]!) * groupOhm[g]!;
				if (v < lowest) lowest = v;
				if (v > highest) highest = v;
				for (let k = g * parallel; k < (g + 1) * parallel; k++) current[k] = (v - memberV[k]!) / memberOhm[k]!;
				groupV[g] = v;
			}
			if (pass === 0)
				for (let g = 0; g < groups; g++)
					balance[g] = amperes > 0 && highest > 3.4 && groupV[g]! > 3.4 && groupV[g]! - lowest > 0.01 ? -0.1 : 0;
		}
		for (let k = 0; k < n; k++) {
			const amperes = current[k];
			const moved = amperes! / 3600;
			const stored = amperes! > 0 ? moved * 0.999 : moved;
			const above = memberV[k]! + amperes! * r0[k]! - 3.45;
			const leak = 7.6e-9 * (above > 0 ? 1 + 100 * above : 1) * capacity[k]!;
			const [s0, b0, f0, h0] = [surfaceV[k], bulkV[k], fast[k], hysteresis[k]];
			soc[k]! += (stored - leak) / capacity[k]!;
			const surfaceEnd = (kappa[k]! * amperes!) / capacity[k]!;
			surface[k] = surfaceEnd + (surface[k]! - surfaceEnd) * surfaceDecay;
			const fastEnd = amperes! * r1[k]!;
			fast[k] = fastEnd + (f0! - fastEnd) * fastDecay;
			const branch = amperes! > 0 ? 0.008 : -0.008;
			hysteresis[k] = branch + (h0! - branch) * Math.exp(-40 * Math.abs(moved / capacity[k]!));
			let scaled = (soc[k]! + surface[k]!) * 200;
			let bin = scaled <= 0 ? 0 : scaled >= 200 ? 199 : Math.floor(scaled);
			let t = scaled - bin;
			let c = 4 * bin;
			surfaceV[k] =
				coefficients[c]! + t * (coefficients[c + 1]! + t * (coefficients[c + 2]! + t * coefficients[c + 3]!));
			slopeV[k] = 200 * (coefficients[c + 1]! + t * (2 * coefficients[c + 2]! + 3 * t * coefficients[c + 3]!));
			scaled = soc[k]! * 200;
			bin = scaled <= 0 ? 0 : scaled >= 200 ? 199 : Math.floor(scaled);
			t = scaled - bin;
			c = 4 * bin;
			bulkV[k] = coefficients[c]! + t * (coefficients[c + 1]! + t * (coefficients[c + 2]! + t * coefficients[c + 3]!));
			const meanFast = fastEnd + (f0! - fastEnd) * (1 - fastDecay) * 30;
			const meanV = (s0! + surfaceV[k]!) / 2 + (h0! + hysteresis[k]!) / 2 + meanFast + amperes! * r0[k]!;
			const joules =
				amperes! * meanV -
				1800 * (b0! + bulkV[k]!) * (stored - leak) -
				(15 / r1[k]!) * (fast[k]! * fast[k]! - f0! * f0!);
			const settled = 25 + joules / 0.5;
			kept[k] = Math.exp(-0.5 / heatCapacity);
			temperature[k] = settled + (temperature[k]! - settled) * kept[k]!;
			heat[k]! += joules + amperes! * amperes! * link[k]!;
			through[k]! += moved;
			leaked[k]! += leak;
			unstored[k]! += moved - stored;
			wh += (amperes! * meanV) / 3600;
		}
	}
	return wh + heat[0]! + through[0]! + leaked[0]! + unstored[0]! + temperature[0]!;
}
