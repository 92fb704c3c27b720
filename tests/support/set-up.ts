// The server under test starts as it does when it is served.
import '$lib/server/set-up';
