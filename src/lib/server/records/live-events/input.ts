import { Maybe, Text, When, Whole, YesNo } from '$lib/input/fields';

/** What happened in a live run, as a bank's file holds it. */
export class StoredLiveEventInput {
	@Whole(1, 2 ** 31) liveRunId!: number;
	@When() happenedAt!: string;
	@Text(16, 1) kind!: string;
	@Text(400) message!: string;
	@YesNo() needsPerson!: boolean;
	@Maybe() @When() seenAt?: string | null;
}
