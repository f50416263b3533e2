/** The glossary: each term a newcomer meets, in two sentences or three. Its name, and below it what it is. */
export const glossary = {
  'glossary.ac_dc': 'AC and DC',
  'glossary.ac_dc_what':
    "AC is what the mains deliver; the car's own onboard charger turns it into DC. With DC the station feeds the battery directly, which can be far stronger.",
  'glossary.access': 'Access',
  'glossary.access_what':
    'Who may start a session at a charger: everybody, people with an account, or certain makes of car only. Being able to plug in does not mean that the network accepts the car.',
  'glossary.active_adapter': 'Active adapter',
  'glossary.active_adapter_what':
    'An adapter with its own electronics and battery that translates between two communication protocols. Its battery must be charged, or the session never starts.',
  'glossary.advertised_power': 'Advertised power',
  'glossary.advertised_power_what':
    'The kW written on a charger or shown in an app. What a car gets also depends on volts and amps: 350 kW at 1000 V is 140 kW at 400 V if the cable carries 350 A.',
  'glossary.ambient': 'Ambient temperature',
  'glossary.ambient_what':
    'How warm it is around car, adapter and cable. Plugs may rise so many kelvin above it, so a hot day leaves less room.',
  'glossary.attach_order': 'Attach order',
  'glossary.attach_order_what':
    'Whether an adapter goes onto the handle first or into the car first. The wrong order can keep the session from starting, or lock the adapter to the handle.',
  'glossary.baseline': 'Baseline',
  'glossary.baseline_what':
    'An earlier session of the same car that a new one is compared with. It shows what an adapter costs, if nothing else was different.',
  'glossary.boost_rating': 'Boost rating',
  'glossary.boost_rating_what':
    'A current that a part may carry for a stated number of minutes, above its continuous rating: 500 A for 15 min. Once those minutes are used, it has to rest.',
  'glossary.certification': 'Certification',
  'glossary.certification_what':
    'Who has tested an adapter: its maker, an independent test laboratory, or nobody known. Harmozon recommends a certified one unless you choose otherwise.',
  'glossary.charge_curve': 'Charge curve',
  'glossary.charge_curve_what':
    'The most power a car takes at each state of charge. It falls as the battery fills, so the last fifth takes longest.',
  'glossary.protocol': 'Communication protocol',
  'glossary.protocol_what':
    'How car and station talk before and during charging. If they have none in common, the plug fits and nothing happens.',
  'glossary.coupler': 'Connector and inlet',
  'glossary.coupler_what':
    'The connector is at the end of the charger cable, the inlet is in the car. Both follow a standard shape, such as CCS1, J3400 or Type 2.',
  'glossary.continuous_rating': 'Continuous rating',
  'glossary.continuous_rating_what':
    'The current a part can carry for as long as you like. Above it only a boost rating counts, for its minutes.',
  'glossary.derated_stall': 'Derated stall',
  'glossary.derated_stall_what':
    'A stall that gives less than its rating although nothing else limits it. Changing stalls often helps.',
  'glossary.derating': 'Derating',
  'glossary.derating_what':
    'A car, cable or adapter asks for less current to protect itself, usually because it is hot. The power drops, often within minutes, and may come back when it has cooled.',
  'glossary.hazard': 'Do not connect',
  'glossary.hazard_what':
    'A combination that could overheat, arc or damage something, whatever the screen says. Harmozon shows no steps for it.',
  'glossary.standard': 'Fixed by standard',
  'glossary.standard_what':
    'What every part of a kind must do, such as the volts at a household socket. Harmozon uses it without asking you to read it.',
  'glossary.span': 'From–to figures',
  'glossary.span_what':
    'Where a fact has not been read, an answer covers what is typical: "120–150 kW". Read the fact, and it becomes one figure.',
  'glossary.handshake': 'Handshake',
  'glossary.handshake_what':
    'Car and station agree on limits and check the insulation before any current flows. It takes seconds with DC; if it takes minutes, something is wrong.',
  'glossary.cabin_load': 'Load in the car',
  'glossary.cabin_load_what':
    'Heating or cooling while charging takes power before it reaches the battery. On a household socket that can be most of it.',
  'glossary.provenance': 'Measured, calculated, estimated',
  'glossary.provenance_what':
    'Measured: somebody read it. Calculated: from two other readings, as kW from volts and amps. Estimated: from the battery voltage curve, so it only indicates.',
  'glossary.onboard_charger': 'Onboard charger',
  'glossary.onboard_charger_what':
    'The part of the car that turns AC into DC for the battery. With AC it sets the power, whatever the post could give; with DC it is bypassed.',
  'glossary.power_sharing': 'Power sharing',
  'glossary.power_sharing_what':
    'Two or more stalls use one cabinet, so a neighbour who charges takes part of the power. It comes back when the neighbour leaves.',
  'glossary.ramp_up': 'Ramp-up',
  'glossary.ramp_up_what':
    'The first minute of a DC session, in which the current rises to its full value. Readings in it say little about the rest.',
  'glossary.rating': 'Rating',
  'glossary.rating_what':
    'The volts, amps, kW and minutes that a part is built for. They are on its rating plate, a small label with figures.',
  'glossary.reach': 'Reach',
  'glossary.reach_what':
    'Whether the cable gets to the charge port from where you can park. It depends on the corner the port is in and the length of the cable.',
  'glossary.recall': 'Recall',
  'glossary.recall_what':
    'A maker or an authority asks that a product no longer be used. An adapter under recall is never part of a recommendation.',
  'glossary.split_pack': 'Split battery',
  'glossary.split_pack_what':
    'Some 800 V cars switch their battery into two halves to charge at a 400 V station. Others use a step-up converter instead, or cannot charge there.',
  'glossary.soc': 'State of charge',
  'glossary.soc_what':
    'How full the battery is, in percent. The figure in the car and the one at the station may differ by a few percent.',
  'glossary.step_up': 'Step-up converter',
  'glossary.step_up_what':
    'Electronics in a high-voltage car that raise the volts of an older station (DC to DC). The converter has a power limit of its own, so charging there is slower.',
  'glossary.tethered': 'Tethered and socketed',
  'glossary.tethered_what':
    'A tethered post has its own cable; a socketed one needs the cable from your boot. With a socket your own cable limits the current too.',
  'glossary.heat': 'Thermal load',
  'glossary.heat_what':
    'How warm the contacts of a part are by calculation, as a share of the warmest they may be. 100 % means that its rating is used up.',
  'glossary.verdict': 'Verdict',
  'glossary.verdict_what':
    'What a session showed about ratings: within all, within as far as can be told, caution, exceeded, or not enough readings. It describes that session and promises nothing for the next.',
  'glossary.voltage': 'Voltage',
  'glossary.voltage_what':
    'The station has to reach the voltage of the battery, and every part between them has to be built for it. A part that is built for less is a danger, not a limit.',
};
