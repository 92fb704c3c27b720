/** The event by which the server says that it goes; whoever hears it hands over what must be done first. */
export const GOING = 'kind-ember:going';
