import type { glossary as english } from './en.glossary';

/* German, as en.glossary.ts. */
export const glossary: Record<keyof typeof english, string> = {
  'glossary.ac_dc': 'AC und DC',
  'glossary.ac_dc_what':
    'AC (Wechselstrom) kommt aus dem Netz; der Bordlader des Autos macht daraus DC (Gleichstrom). Bei DC speist die Station die Batterie direkt, und das kann weit stärker sein.',
  'glossary.access': 'Zugang',
  'glossary.access_what':
    'Wer an einer Ladestation laden darf: alle, Menschen mit einem Konto, oder nur bestimmte Automarken. Dass der Stecker passt, heißt nicht, dass das Ladenetz das Auto zulässt.',
  'glossary.active_adapter': 'Aktiver Adapter',
  'glossary.active_adapter_what':
    'Ein Adapter mit eigener Elektronik und Batterie, der zwischen zwei Protokollen übersetzt. Seine Batterie muss geladen sein, sonst beginnt der Ladevorgang nie.',
  'glossary.advertised_power': 'Beworbene Leistung',
  'glossary.advertised_power_what':
    'Die kW, die an einer Ladestation stehen oder in einer App. Was ein Auto bekommt, hängt auch von Volt und Ampere ab: 350 kW bei 1000 V sind 140 kW bei 400 V, wenn das Kabel 350 A trägt.',
  'glossary.ambient': 'Umgebungstemperatur',
  'glossary.ambient_what':
    'Wie warm es um Auto, Adapter und Kabel ist. Stecker dürfen sich um so und so viel Kelvin darüber erwärmen; an einem heißen Tag bleibt weniger Spielraum.',
  'glossary.attach_order': 'Reihenfolge beim Verbinden',
  'glossary.attach_order_what':
    'Ob ein Adapter zuerst auf den Griff kommt oder zuerst ins Auto. Die falsche Reihenfolge kann verhindern, dass der Ladevorgang beginnt, oder den Adapter am Griff festhalten.',
  'glossary.baseline': 'Vergleich',
  'glossary.baseline_what':
    'Ein früherer Ladevorgang desselben Autos, mit dem ein neuer verglichen wird. Er zeigt, was ein Adapter kostet, wenn sonst nichts anders war.',
  'glossary.boost_rating': 'Boost',
  'glossary.boost_rating_what':
    'Ein Strom, den ein Teil für eine angegebene Zahl von Minuten tragen darf, über seinem Dauerstrom: 500 A für 15 min. Sind diese Minuten verbraucht, muss es ruhen.',
  'glossary.certification': 'Zertifizierung',
  'glossary.certification_what':
    'Wer einen Adapter geprüft hat: sein Hersteller, ein unabhängiges Prüflabor, oder niemand, den man kennt. Harmozon empfiehlt einen zertifizierten, wenn du nichts anderes wählst.',
  'glossary.charge_curve': 'Ladekurve',
  'glossary.charge_curve_what':
    'Die größte Leistung, die ein Auto bei jedem Ladestand nimmt. Sie fällt, je voller die Batterie wird; das letzte Fünftel dauert am längsten.',
  'glossary.protocol': 'Protokoll',
  'glossary.protocol_what':
    'Wie Auto und Station vor dem Laden und währenddessen miteinander reden. Haben sie keines gemeinsam, passt der Stecker, und nichts geschieht.',
  'glossary.coupler': 'Stecker und Ladebuchse',
  'glossary.coupler_what':
    'Der Stecker sitzt am Ende des Ladekabels, die Ladebuchse im Auto. Beide haben eine genormte Form, zum Beispiel CCS1, J3400 oder Typ 2.',
  'glossary.continuous_rating': 'Dauerstrom',
  'glossary.continuous_rating_what':
    'Der Strom, den ein Teil beliebig lange tragen kann. Darüber gilt nur der Boost, für seine Minuten.',
  'glossary.derated_stall': 'Gedrosselter Ladeplatz',
  'glossary.derated_stall_what':
    'Ein Ladeplatz, der weniger gibt als seinen Nennwert, obwohl sonst nichts begrenzt. Oft hilft es, den Platz zu wechseln.',
  'glossary.derating': 'Drosselung',
  'glossary.derating_what':
    'Ein Auto, Kabel oder Adapter verlangt weniger Strom, um sich zu schützen, meist weil es heiß ist. Die Leistung fällt, oft in wenigen Minuten, und kommt vielleicht wieder, wenn es abgekühlt ist.',
  'glossary.hazard': 'Nicht verbinden',
  'glossary.hazard_what':
    'Eine Zusammenstellung, die überhitzen, einen Lichtbogen ziehen oder etwas beschädigen kann, was immer der Bildschirm sagt. Harmozon zeigt dafür keine Schritte.',
  'glossary.standard': 'Durch eine Norm festgelegt',
  'glossary.standard_what':
    'Was jedes Teil einer Art leisten muss, etwa die Volt an einer Haushaltssteckdose. Harmozon rechnet damit, ohne dass du es ablesen musst.',
  'glossary.span': 'Werte von–bis',
  'glossary.span_what':
    'Wo eine Angabe nicht abgelesen ist, umfasst eine Antwort das Übliche: „120–150 kW“. Lies die Angabe ab, und es wird ein Wert.',
  'glossary.handshake': 'Verbindungsaufbau',
  'glossary.handshake_what':
    'Auto und Station einigen sich auf Grenzwerte und prüfen die Isolation, bevor Strom fließt. Bei DC dauert das Sekunden; dauert es Minuten, stimmt etwas nicht.',
  'glossary.cabin_load': 'Verbrauch im Auto',
  'glossary.cabin_load_what':
    'Heizung oder Klimaanlage nehmen beim Laden Leistung weg, bevor sie die Batterie erreicht. An einer Haushaltssteckdose kann das der größte Teil sein.',
  'glossary.provenance': 'Gemessen, berechnet, geschätzt',
  'glossary.provenance_what':
    'Gemessen: jemand hat es abgelesen. Berechnet: aus zwei anderen Messwerten, wie kW aus Volt und Ampere. Geschätzt: aus der Spannungskurve der Batterie, also nur ein Anhalt.',
  'glossary.onboard_charger': 'Bordlader',
  'glossary.onboard_charger_what':
    'Der Teil des Autos, der AC in DC für die Batterie wandelt. Bei AC bestimmt er die Leistung, was immer die Säule geben könnte; bei DC wird er umgangen.',
  'glossary.power_sharing': 'Leistungsteilung',
  'glossary.power_sharing_what':
    'Zwei oder mehr Ladeplätze hängen an einem Leistungsschrank; ein Nachbar, der lädt, nimmt einen Teil der Leistung. Fährt er weg, kommt sie wieder.',
  'glossary.ramp_up': 'Hochlauf',
  'glossary.ramp_up_what':
    'Die erste Minute eines DC-Ladevorgangs, in der der Strom auf seinen vollen Wert steigt. Messwerte darin sagen wenig über den Rest.',
  'glossary.rating': 'Nennwert',
  'glossary.rating_what':
    'Die Volt, Ampere, kW und Minuten, für die ein Teil gebaut ist. Sie stehen auf seinem Typenschild, einem kleinen Aufkleber mit Zahlen.',
  'glossary.reach': 'Reichweite des Kabels',
  'glossary.reach_what':
    'Ob das Kabel von dort, wo du parken kannst, zur Ladebuchse kommt. Das hängt davon ab, an welcher Ecke die Ladebuchse sitzt und wie lang das Kabel ist.',
  'glossary.recall': 'Rückruf',
  'glossary.recall_what':
    'Ein Hersteller oder eine Behörde verlangt, dass ein Produkt nicht mehr benutzt wird. Ein Adapter mit Rückruf ist nie Teil einer Empfehlung.',
  'glossary.split_pack': 'Geteilte Batterie',
  'glossary.split_pack_what':
    'Manche 800-V-Autos schalten ihre Batterie in zwei Hälften, um an einer 400-V-Station zu laden. Andere nehmen einen Hochsetzsteller, oder können dort nicht laden.',
  'glossary.soc': 'Ladestand',
  'glossary.soc_what':
    'Wie voll die Batterie ist, in Prozent. Der Wert im Auto und der an der Station können um ein paar Prozent abweichen.',
  'glossary.step_up': 'Hochsetzsteller',
  'glossary.step_up_what':
    'Elektronik in einem Auto mit hoher Spannung, die die Volt einer älteren Station anhebt (DC zu DC). Sie hat eine eigene Leistungsgrenze, deshalb geht das Laden dort langsamer.',
  'glossary.tethered': 'Säule mit Kabel, Säule mit Buchse',
  'glossary.tethered_what':
    'Manche Säulen haben ein eigenes Kabel; andere brauchen das Kabel aus deinem Kofferraum. Dann begrenzt auch dein Kabel den Strom.',
  'glossary.heat': 'Wärmebelastung',
  'glossary.heat_what':
    'Wie warm die Kontakte eines Teils rechnerisch sind, als Anteil des Wärmsten, das sie sein dürfen. 100 % heißt, dass sein Nennwert ausgeschöpft ist.',
  'glossary.verdict': 'Urteil',
  'glossary.verdict_what':
    'Was ein Ladevorgang über Nennwerte gezeigt hat: innerhalb aller, innerhalb soweit zu sagen, Vorsicht, überschritten, oder zu wenige Messwerte. Es beschreibt diesen Ladevorgang und verspricht nichts für den nächsten.',
  'glossary.voltage': 'Spannung',
  'glossary.voltage_what':
    'Die Station muss die Spannung der Batterie erreichen, und jedes Teil dazwischen muss dafür gebaut sein. Ein Teil, das für weniger gebaut ist, ist eine Gefahr, keine Grenze.',
};
