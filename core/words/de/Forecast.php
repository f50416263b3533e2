<?php

declare(strict_types=1);

return [
    // Names of closed sets.
    'note.warm' => '{Link}: noch warm vom letzten Einsatz, die Wärmebelastung steht bei {theta} des Nennwerts.',

    // Why an answer is what it is.
    'doubt.narrows' => 'Genauer wird es mit dieser Angabe: {fact}. Aus {now} wird dann etwa {then}.',
    'doubt.rests' => 'Es hängt auch von einer Angabe ab, die noch fehlt: {fact}.',
    'doubt.span' => '{low}–{high}',

    // Why a forecast ends, or why there is none.
    'note.heater_unread' => 'Die Batterie hat am Anfang {from} und wird beim Laden wärmer. Die Leistung ihrer Heizung ist nicht bekannt und nicht eingerechnet: Es kann schneller gehen.',
    'note.warming' => 'Die Batterie hat am Anfang {from} und wird beim Laden wärmer.',
    'note.distance' => 'Für {km} mit {reserve} Rest bei der Ankunft sind {soc} nötig, bei gleichem Verbrauch für jedes Tempo.',
    'note.distance_there' => 'Für {km} mit {reserve} Rest bei der Ankunft sind {soc} nötig, bei gleichem Verbrauch für jedes Tempo. So viel hast du schon.',
    'note.distance_beyond' => 'Für {km} mit {reserve} Rest bei der Ankunft wären {soc} nötig, bei gleichem Verbrauch für jedes Tempo. Die Prognose endet bei 100 %.',
    'end.ceiling' => 'Die Station kommt nicht über {ceiling}; die Batterie erreicht das bei {soc}.',
    'end.too_long' => 'Nach {hours, plural, one {# Stunde} other {# Stunden}} nicht erreicht.',
    'cabin.costs_time' => 'Heizung oder Klimaanlage brauchen {about, select, yes {ca. } other {}}{kwh}. Ohne sie wäre der Ladevorgang {minutes} kürzer und bräuchte {saved} weniger.',
    'cabin.costs_energy' => 'Heizung oder Klimaanlage brauchen {about, select, yes {ca. } other {}}{kwh}. Ohne sie bräuchte der Ladevorgang in derselben Zeit {saved} weniger.',
    'cabin.keeps_it_down' => 'Schalte Heizung oder Klimaanlage aus. Mit ihr steigt der Ladestand nicht.',
    'end.charge_falls' => 'Der Ladestand fällt um {percent} in der Stunde: Heizung oder Klimaanlage brauchen mehr als die {kw} vom Anschluss.',
    'end.nothing_flows' => 'Hier endet das Laden: Die Grenze ist {binding}.',
    'end.no_limit' => 'Noch ist keine Grenze dieser Kette abgelesen.',
    'adapter_passed.at_once' => '{adapter} begrenzt den Strom vielleicht nicht selbst. Von Anfang an trägt alles andere {would}; {adapter} ist für {allowed} ausgelegt. Stell die Ladegrenze des Autos niedriger oder nimm einen schwächeren Ladeplatz. Diese Prognose setzt das voraus.',
    'adapter_passed.from' => '{adapter} begrenzt den Strom vielleicht nicht selbst. Ab Minute {minute}, bei {soc}, trägt alles andere noch {would}; {adapter} ist dann für {allowed} ausgelegt. Beende den Ladevorgang bis dahin oder stell die Ladegrenze des Autos niedriger. Diese Prognose setzt das voraus.',
    'end.unread' => 'Keine Prognose, solange das fehlt: {facts}.',

    // Where to go.
    'price.per_kwh' => 'der Preis je kWh',
    'price.per_minute' => 'der Preis je Minute',
    'price.session_fee' => 'die Gebühr je Ladevorgang',
    'price.idle' => 'die Standgebühr und wann sie beginnt',
    'rank.nothing' => 'Lädt nicht.',
    'rank.check_first' => 'Erst prüfen: {facts}.',
    'rank.time_first' => 'Am schnellsten: {minutes}, {why}.',
    'rank.time_first_tie' => 'Schneller geht es nirgends: {minutes}, {why}.',
    'rank.time_same' => '{minutes}, so lange wie {first}: {why}.',
    'rank.time_more' => '{minutes}, {more} länger als {first}: {why}.',
    'rank.held' => 'davon {minutes} mit dieser Grenze: {binding}',
    'rank.nothing_to_charge' => 'nichts zu laden',
    'rank.time_alone' => '{minutes}: {why}.',
    'rank.price_unread' => 'Preis nicht abgelesen. Schau auf das Schild am Ladeplatz oder in die App des Ladenetzes.',
    'rank.price_at_least' => 'Mindestens {price}. Nicht abgelesen: {parts}. Schau auf das Schild am Ladeplatz oder in die App des Ladenetzes.',
    'rank.price_part_unread' => 'Nicht abgelesen: {parts}. Schau auf das Schild am Ladeplatz oder in die App des Ladenetzes; gib 0 ein, wenn es nichts kostet.',
    'rank.money_first' => 'Am günstigsten: {price} für {energy}.',
    'rank.money_first_tie' => 'Günstiger geht es nirgends: {price} für {energy}.',
    'rank.money_alone' => '{price} für {energy}.',
    'rank.money_apart' => '{price} für {energy}. Nicht verglichen: Der Preis gilt in einer anderen Währung.',
    'rank.money_same' => '{price} für {energy}, so viel wie {first}.',
    'rank.money_more' => '{price} für {energy}, {more} mehr als {first}.',
    'rank.risk' => '{Parts}.',
    'rank.no_risk' => 'Nichts ist offen: Zugang und Nennwerte sind abgelesen, keine Störung ist bekannt.',
    'rank.known_fault' => 'bekannte Störung: {fault}',
    'rank.trailer' => 'kein Platz zum Durchfahren für den Anhänger bekannt',
    'rank.every_stall_faulty' => 'an jedem Ladeplatz ist eine Störung bekannt',
    'rank.access_unverified' => 'Zugang nicht bestätigt: {facts}',
    'rank.not_read' => 'nicht abgelesen: {facts}',
];
