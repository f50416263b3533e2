<?php

declare(strict_types=1);

namespace Tests\Feature;

use Harmozon\Core\Tests\Cases;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use Symfony\Component\Process\Process;
use Tests\TestCase;

/** The commands as a script calls them: real processes, standard input, exit codes. */
#[Group('once')]
final class CommandsTest extends TestCase
{
    public function test_fit_answers_in_the_contracts_fields(): void
    {
        $process = $this->artisanRun(['harmozon:fit', '-', '--json'], self::file());
        self::assertSame(0, $process->getExitCode(), $process->getErrorOutput());
        $answer = json_decode($process->getOutput(), true, 512, JSON_THROW_ON_ERROR);

        self::assertSame(['post', 'a1', 'car#0'], $answer['chain']);
        self::assertSame(['a1'], $answer['adapters']);
        self::assertSame(['shape', 'current', 'signalling', 'voltage', 'access', 'adapter', 'reach'], array_column($answer['gates'], 'gate'));
        self::assertSame(['charges', 150.0, 'vehicle_curve', 150.0], [$answer['outcome'], $answer['expected_peak_kw'], $answer['binding'], $answer['ideal_peak_kw']]);
        self::assertSame([[], []], [$answer['alternatives'], $answer['changes']]);
    }

    public function test_fit_answers_a_whole_garage(): void
    {
        $garage = Cases::file(adapters: [[]]);
        $second = Cases::changed(Cases::CAR, ['id' => 'second', 'inlets.0.coupler' => 'j3400']);
        $file = ['format' => 'harmozon/garage', 'version' => 1, 'vehicles' => [Cases::CAR, $second], 'adapters' => $garage['adapters'], 'outlets' => [Cases::DC_POST, Cases::changed(Cases::DC_POST, ['id' => 'hub', 'coupler' => 'j3400'])]];
        $process = $this->artisanRun(['harmozon:fit', '-', '--board', '--json'], (string) json_encode($file));
        self::assertSame(0, $process->getExitCode(), $process->getErrorOutput());
        $cells = json_decode($process->getOutput(), true, 512, JSON_THROW_ON_ERROR)['cells'];

        self::assertSame(
            ['post car charges', 'post second no_joint', 'hub car charges', 'hub second charges'],
            array_map(static fn (array $c): string => "{$c['outlet']} {$c['vehicle']} {$c['outcome']}", $cells),
        );
        self::assertSame(['hub', 'a1', 'car#0'], $cells[2]['chain']);

        $wrong = $this->artisanRun(['harmozon:fit', '-', '--board'], (string) json_encode(Cases::changed($file, ['vehicles.1.id' => 'car'])));
        self::assertSame([2, "vehicles[1].id: \"car\" is listed twice\n"], [$wrong->getExitCode(), $wrong->getErrorOutput()]);
    }

    public function test_steps_are_told_in_the_contracts_fields_and_as_a_table(): void
    {
        $file = (string) json_encode(Cases::file([], ['coupler' => 'j3400'], [[]]));
        $process = $this->artisanRun(['harmozon:steps', '-', '--json'], $file);
        self::assertSame(0, $process->getExitCode(), $process->getErrorOutput());
        $answer = json_decode($process->getOutput(), true, 512, JSON_THROW_ON_ERROR);
        self::assertSame(['post', 'a1', 'car#0'], $answer['chain']);
        self::assertSame(
            ['join', 'handle_into_adapter', "One click, and a light pull doesn't separate them.", false],
            [$answer['steps'][3]['phase'], $answer['steps'][3]['code'], $answer['steps'][3]['sign'], $answer['steps'][3]['default']],
        );
        self::assertSame(['another_stall', 'station'], [$answer['when_nothing_starts'][4]['code'], $answer['when_nothing_starts'][4]['tests']]);

        $table = $this->artisanRun(['harmozon:steps', '-'], $file)->getOutput();
        self::assertStringContainsString('Push the connector into A1 until it clicks.', $table);
        self::assertStringContainsString('when the latch is stuck', $table);

        $wrong = $this->artisanRun(['harmozon:steps', '-'], (string) json_encode(Cases::file(case: ['conditions.soc_from' => 120])));
        self::assertSame([2, ''], [$wrong->getExitCode(), $wrong->getOutput()]);
        self::assertStringStartsWith('conditions.soc_from: ', $wrong->getErrorOutput());
    }

    /** A car with a CCS1 inlet at a J3400 post: the adapter for sale that is made for it, and none for the other way round. */
    public function test_the_smallest_kit_is_told_in_the_contracts_fields_and_as_a_table(): void
    {
        $file = [
            'format' => 'harmozon/garage', 'version' => 1, 'vehicles' => [Cases::CAR], 'adapters' => [], 'outlets' => [Cases::changed(Cases::DC_POST, ['coupler' => 'j3400']), Cases::changed(Cases::DC_POST, ['id' => 'other', 'coupler' => 'gbt_dc'])],
            'candidates' => [['price' => '180.00', ...Cases::ADAPTER], Cases::changed(Cases::ADAPTER, ['id' => 'a2', 'name' => 'A2', 'input' => 'ccs1', 'output' => 'j3400', 'price' => null])],
        ];
        $process = $this->artisanRun(['harmozon:kit', '-', '--json'], (string) json_encode($file));
        self::assertSame(0, $process->getExitCode(), $process->getErrorOutput());
        $answer = json_decode($process->getOutput(), true, 512, JSON_THROW_ON_ERROR);
        self::assertSame([2, 0, 0, true], [$answer['pairs'], $answer['covered_now'], $answer['second_way_now'], $answer['exact']]);
        self::assertSame([['buy' => ['a1'], 'covered' => 1, 'amount' => '180.00']], array_map(static fn (array $p): array => ['buy' => $p['buy'], 'covered' => $p['covered'], 'amount' => $p['price']['amount']], $answer['purchases']));
        self::assertSame([['vehicle' => 'car', 'outlet' => 'post', 'expected_peak_kw' => 150.0, 'at_most' => false]], $answer['purchases'][0]['newly']);
        self::assertSame([['car', 'other', 'shape']], array_map(static fn (array $n): array => [$n['vehicle'], $n['outlet'], $n['gate']], $answer['never']));

        $table = $this->artisanRun(['harmozon:kit', '-'], (string) json_encode($file))->getOutput();
        self::assertStringContainsString('2 pairs of car and charger. 0 charge with what you own', $table);
        self::assertStringContainsString('| A1  | 1      | 0          | 180.00 |', $table);

        foreach ([['outlets: ', Cases::changed($file, ['outlets' => []]), []], ['together: ', $file, ['--together=nobody']], ['most: ', $file, ['--most=0']], ['candidates[1].id: ', Cases::changed($file, ['candidates.1.id' => 'a1']), []]] as [$line, $input, $options]) {
            $wrong = $this->artisanRun(['harmozon:kit', '-', ...$options], (string) json_encode($input));
            self::assertSame([2, ''], [$wrong->getExitCode(), $wrong->getOutput()]);
            self::assertStringStartsWith($line, $wrong->getErrorOutput());
        }
    }

    /** The car and the post of the tests: 44.2 kWh at the plug, as forecast; its readings pass their own check. */
    public function test_a_session_is_simulated_in_the_contracts_fields_and_as_readings_that_pass(): void
    {
        $case = (string) json_encode(Cases::file());
        $run = fn (string ...$options) => $this->artisanRun(['harmozon:simulate', '-', ...$options], $case);
        $answer = json_decode($run('--json')->getOutput(), true, 512, JSON_THROW_ON_ERROR);
        $forecast = json_decode($this->artisanRun(['harmozon:forecast', '-', '--json'], $case)->getOutput(), true, 512, JSON_THROW_ON_ERROR);
        self::assertSame([1, 'charged', 12, null], [$answer['seed'], $answer['outcome'], count($answer['phases']), $answer['fault']]);
        self::assertEqualsWithDelta($forecast['minutes'], $answer['minutes'], 0.02 * $forecast['minutes']);
        self::assertEqualsWithDelta(44.21, $answer['plug_kwh'], 0.1);

        $readings = tempnam(sys_get_temp_dir(), 'readings');
        file_put_contents($readings, $run('--csv', '--every=10')->getOutput());
        $checked = json_decode($this->artisanRun(['harmozon:check', '-', $readings, '--json'], $case)->getOutput(), true, 512, JSON_THROW_ON_ERROR);
        self::assertSame(['passed', [], []], [$checked['verdict'], $checked['rejected'], $checked['unused_columns']]);
        unlink($readings);

        $fault = json_decode($run('--json', '--fault=link_lost@5', '--seed=7')->getOutput(), true, 512, JSON_THROW_ON_ERROR)['fault'];
        self::assertSame(['link_lost', 'current', 5.0], [$fault['code'], $fault['phase'], $fault['minute']]);
        self::assertNotSame([], $fault['remedies']);
        self::assertSame(['do', 'why_not'], array_slice(array_keys($fault['wrong'][0]), 1));
        self::assertStringContainsString('+ Stop in the car and at the station', $run('--fault=precharge')->getOutput());

        foreach (['fault: ' => '--fault=nothing', 'every: ' => '--every=0', 'seed: ' => '--seed=x', 'instruments: ' => '--instruments=gold', 'fault: "x" is not a number of minutes' => '--fault=derated@x'] as $line => $option) {
            $wrong = $run($option);
            self::assertSame([2, ''], [$wrong->getExitCode(), $wrong->getOutput()]);
            self::assertStringStartsWith($line, $wrong->getErrorOutput());
        }
    }

    public function test_an_adapter_is_vetted_in_the_contracts_fields(): void
    {
        $garage = tempnam(sys_get_temp_dir(), 'garage');
        file_put_contents($garage, (string) json_encode(['format' => 'harmozon/garage', 'version' => 1, 'vehicles' => [Cases::CAR], 'adapters' => [], 'outlets' => [Cases::changed(Cases::DC_POST, ['coupler' => 'j3400'])]]));
        $seen = ['format' => 'harmozon/vetting', 'version' => 1, 'adapter' => array_diff_key(Cases::ADAPTER, ['id' => 1, 'name' => 1]), 'answers' => ['label_names_both' => 'yes', 'sold_for' => 'dc']];
        $process = $this->artisanRun(['harmozon:vet', '-', $garage, '--json'], (string) json_encode($seen));
        self::assertSame(0, $process->getExitCode(), $process->getErrorOutput());
        $answer = json_decode($process->getOutput(), true, 512, JSON_THROW_ON_ERROR);
        self::assertSame(['ask_first', 'plate_said', 'high', []], [$answer['verdict'], $answer['reasons'][0]['code'], $answer['reasons'][0]['weight'], $answer['already']]);
        self::assertSame([['car', 'post', 150.0, 'vehicle_curve']], array_map(static fn (array $a): array => [$a['vehicle'], $a['outlet'], $a['expected_peak_kw'], $a['binding']], $answer['adds']));

        $wrong = $this->artisanRun(['harmozon:vet', '-', $garage], (string) json_encode([...$seen, 'version' => 2]));
        self::assertSame(2, $wrong->getExitCode());
        self::assertStringStartsWith('version: ', $wrong->getErrorOutput());
        unlink($garage);
    }

    /** @param  list<string>  $arguments */
    #[DataProvider('commandLines')]
    public function test_a_command_line_that_cannot_be_read_is_answered_in_one_short_line(array $arguments, string $told): void
    {
        $process = $this->artisanRun($arguments, self::file());

        self::assertSame([2, ''], [$process->getExitCode(), $process->getOutput()]);
        self::assertStringContainsString($told, $process->getErrorOutput());
        self::assertSame(1, substr_count($process->getErrorOutput(), "\n"));
        self::assertLessThan(200, strlen($process->getErrorOutput()));
    }

    /** @return iterable<string, array{list<string>, string}> */
    public static function commandLines(): iterable
    {
        yield 'nothing to read' => [['harmozon:fit'], 'missing: "case"'];
        yield 'an option nobody knows' => [['harmozon:fit', '-', '--loud'], '"--loud"'];
        yield 'one argument too many' => [['harmozon:fit', '-', 'more'], 'Too many arguments'];
        yield 'a command nobody knows' => [['harmozon:guess'], '"harmozon:guess"'];
        yield 'a switch with a value' => [['harmozon:fit', '-', '--json=1'], '"--json"'];
        yield 'a file that is not there' => [['harmozon:fit', '/nowhere.json'], 'case: "/nowhere.json"'];
        yield 'a folder' => [['harmozon:fit', __DIR__], "can't be read"];
        yield 'half of what a check needs' => [['harmozon:check', '-'], 'missing: "readings"'];
    }

    public function test_an_output_that_cannot_be_written_is_exit_1(): void
    {
        foreach (['', ' --json'] as $option) {
            $process = Process::fromShellCommandline("php artisan harmozon:fit -{$option} > /dev/full", dirname(__DIR__, 2));
            $process->setInput(self::file());
            self::assertSame(1, $process->run());
            self::assertStringContainsString("can't be written", $process->getErrorOutput());
        }
    }

    public function test_no_escape_code_of_a_file_reaches_the_terminal(): void
    {
        $file = Cases::changed(Cases::file(), ['vehicle.name' => "\e[31mred\e[0m \u{9b}2J <error>loud</error>", 'outlet.max_v' => null, 'vehicle.pack' => null]);
        foreach ([[], ['--json']] as $options) {
            foreach (['harmozon:fit', 'harmozon:forecast'] as $command) {
                $process = $this->artisanRun([$command, '-', ...$options], (string) json_encode($file));
                self::assertDoesNotMatchRegularExpression('/[^\P{Cc}\n]/u', $process->getOutput(), $command);
            }
        }
        self::assertStringContainsString('<error>loud</error>', $this->artisanRun(['harmozon:fit', '-'], (string) json_encode($file))->getOutput());
        $process = $this->artisanRun(['harmozon:fit', '-'], (string) json_encode(Cases::changed($file, ['outlet.coupler' => "\e]0;owned\x07"])));
        self::assertDoesNotMatchRegularExpression('/[^\P{Cc}\n]/u', $process->getErrorOutput());
    }

    public function test_forecast_answers_in_the_contracts_fields(): void
    {
        $file = Cases::changed(Cases::file(adapters: [[]], outlet: ['coupler' => 'j3400']), ['outlet.tariff' => ['currency' => 'USD', 'per_kwh' => '0.45', 'per_minute' => '0', 'session_fee' => '0', 'membership' => ['monthly_fee' => '7.00', 'per_kwh' => '0.34']]]);
        $process = $this->artisanRun(['harmozon:forecast', '-', '--json'], (string) json_encode($file));
        self::assertSame(0, $process->getExitCode(), $process->getErrorOutput());
        $answer = json_decode($process->getOutput(), true, 512, JSON_THROW_ON_ERROR);

        self::assertSame(['charges', ['post', 'a1', 'car#0'], null, 80.0], [$answer['outcome'], $answer['chain'], $answer['stopped'], $answer['soc_end']]);
        // 42 kWh into the pack are 44.211 at the plug: × 0.45 = 19.895, × 0.34 = 15.03.
        self::assertSame([44.211, 42.0], [$answer['plug_kwh'], $answer['pack_kwh']]);
        self::assertSame(['USD', '19.89', '15.03'], [$answer['cost']['currency'], $answer['cost']['amount'], $answer['cost']['with_membership']]);
        self::assertEqualsWithDelta($answer['plug_kwh'] / $answer['minutes'] * 60, $answer['mean_kw'], 0.05);
        self::assertEqualsWithDelta($answer['minutes'] - 0.75, array_sum($answer['minutes_by_binding']), 0.03);
        self::assertSame(['cable', 'a1'], array_keys($answer['theta_end']));
        self::assertSame(80.0, end($answer['marginal'])['soc']);
        self::assertGreaterThan(0, $answer['marginal'][0]['minutes_per_5']);
        foreach (array_slice($answer['points'], 1) as $i => $point) {
            self::assertSame([], array_diff(['t_s', 'soc', 'v', 'a', 'kw', 'binding'], array_keys($point)));
            self::assertLessThanOrEqual(30.0, $point['t_s'] - $answer['points'][$i]['t_s']);
            self::assertGreaterThan($answer['points'][$i]['t_s'], $point['t_s']);
        }
    }

    public function test_forecast_prints_a_table_and_refuses_what_it_cannot_read(): void
    {
        $process = $this->artisanRun(['harmozon:forecast', '-'], (string) json_encode(Cases::file()));
        self::assertSame(0, $process->getExitCode());
        self::assertStringContainsString('20 min to 80 %: 44.2 kWh at the plug, 42.0 kWh into the battery', $process->getOutput());
        self::assertStringContainsString("the car's charge curve", $process->getOutput());

        $wrong = $this->artisanRun(['harmozon:forecast', '-', '--json'], (string) json_encode(Cases::changed(Cases::file(), ['conditions.faults' => ['derated_kw' => 'half']])));
        self::assertSame([2, '', "conditions.faults.derated_kw: expected a number, got text\n"], [$wrong->getExitCode(), $wrong->getOutput(), $wrong->getErrorOutput()]);

        $refused = $this->artisanRun(['harmozon:forecast', '-', '--json'], (string) json_encode(Cases::file(outlet: ['coupler' => 'chademo'])));
        $answer = json_decode($refused->getOutput(), true, 512, JSON_THROW_ON_ERROR);
        self::assertSame([0, 'no_joint', null, []], [$refused->getExitCode(), $answer['outcome'], $answer['minutes'], $answer['points']]);
        self::assertNotNull($answer['stopped']);
    }

    public function test_fit_prints_a_table_for_people(): void
    {
        $process = $this->artisanRun(['harmozon:fit', '-'], self::file());

        self::assertSame(0, $process->getExitCode());
        self::assertStringContainsString('Charges, peak 150 kW', $process->getOutput());
        self::assertStringContainsString('signalling', $process->getOutput());
    }

    public function test_check_judges_an_hour_at_one_reading_a_second(): void
    {
        $case = $this->temporary('case.json', self::file());
        $csv = "\u{FEFF}t_s,volts,amps\n";
        for ($s = 0; $s < 3600; $s++) {
            $csv .= "{$s},340,".($s < 600 ? 400 : 250)."\n";
        }
        $process = $this->artisanRun(['harmozon:check', $case, '-', '--json'], $csv."oops,1,2\n");
        self::assertSame(0, $process->getExitCode(), $process->getErrorOutput());
        $check = json_decode($process->getOutput(), true, 512, JSON_THROW_ON_ERROR);

        self::assertSame(['passed', 3600, [['line' => 3602, 'reason' => 't_s: "oops" is not a number', 'code' => 'readings.not_number']]], [$check['verdict'], $check['readings'], $check['rejected']]);
        self::assertSame(['value' => 400.0, 't_s' => 0.0, 'provenance' => 'measured'], $check['peaks']['a']);
        // 340 V × (600 s × 400 A + 3000 s × 250 A), less half a second of the last and of the step.
        self::assertEqualsWithDelta(340 * (600 * 400 + 3000 * 250) / 3.6e6, $check['energy_kwh'], 0.05);
        self::assertEqualsWithDelta(400.0, $check['mean_1min']['a'], 1e-6);
        $rows = array_values(array_filter($check['plate_check'], static fn (array $r): bool => $r['link'] === 'a1' && $r['quantity'] === 'a'));
        self::assertSame([500.0, 300.0, 'within', 15.0], [$rows[0]['limit'], $rows[0]['continuous_limit'], $rows[0]['state'], $rows[0]['allowed_minutes']]);
        self::assertEqualsWithDelta(10.0, $rows[0]['minutes_over_continuous'], 0.02);
        // 136 kW and then 85 kW, at no plate of the chain, where the car would take 150.
        self::assertSame([['unexplained', 136.0], ['unexplained', 85.0]], array_map(static fn (array $h): array => [$h['cause'], round($h['level_kw'], 2)], $check['held_back_by']));
        // The ramp belongs to none; the step is known to ten seconds.
        self::assertEqualsWithDelta([90, 600, 600, 3599], [$check['held_back_by'][0]['from_s'], $check['held_back_by'][0]['to_s'], $check['held_back_by'][1]['from_s'], $check['held_back_by'][1]['to_s']], 10);
        self::assertNull($check['handshake_s']);
    }

    /** @param  list<string>  $arguments */
    #[DataProvider('badInput')]
    public function test_bad_input_ends_with_two_and_one_line(array $arguments, string $input, string $line): void
    {
        $process = $this->artisanRun($arguments, $input);

        self::assertSame(2, $process->getExitCode(), $process->getOutput());
        self::assertSame('', $process->getOutput());
        self::assertStringStartsWith($line, $process->getErrorOutput());
        self::assertSame(1, substr_count($process->getErrorOutput(), "\n"));
    }

    /** @return iterable<string, array{list<string>, string, string}> */
    public static function badInput(): iterable
    {
        $wrong = static fn (array $changes): string => (string) json_encode(Cases::changed(json_decode(self::file(), true), $changes));
        yield 'no JSON' => [['harmozon:fit', '-', '--json'], '{', 'case: not valid JSON'];
        yield 'nothing' => [['harmozon:fit', '-', '--json'], '', 'case: not valid JSON'];
        yield 'a list' => [['harmozon:fit', '-'], '[1]', 'case: expected an object, got a list'];
        yield 'no such file' => [['harmozon:fit', '/no/such.case.json'], '', 'case: "/no/such.case.json" can\'t be read'];
        yield 'a version to come' => [['harmozon:fit', '-', '--json'], $wrong(['version' => 9]), 'version: version 9 is not known'];
        yield 'an impossible number' => [['harmozon:fit', '-', '--json'], $wrong(['vehicle.inlets.0.dc.max_v' => -1]), 'vehicle.inlets[0].dc.max_v: -1 is outside'];
        yield 'the wrong type' => [['harmozon:check', '-', __FILE__, '--json'], $wrong(['outlet.max_a' => 'many']), 'outlet.max_a: expected a number'];
        yield 'readings without a time' => [['harmozon:check', '-', __FILE__, '--json'], self::file(), 'readings: the header needs a column t_s'];
        yield 'both from standard input' => [['harmozon:check', '-', '-'], self::file(), 'readings: only one of the two'];
    }

    private static function file(): string
    {
        return (string) json_encode(Cases::file(car: ['charge_curve_kw' => [[0, 150]]], outlet: ['coupler' => 'j3400'], adapters: [[]]));
    }

    /** @param  list<string>  $arguments */
    private function artisanRun(array $arguments, string $input): Process
    {
        $process = new Process([PHP_BINARY, 'artisan', ...$arguments], base_path(), ['APP_ENV' => 'testing'], $input);
        $process->run();

        return $process;
    }

    private function temporary(string $name, string $content): string
    {
        $path = tempnam(sys_get_temp_dir(), 'harmozon').$name;
        file_put_contents($path, $content);
        $this->beforeApplicationDestroyed(static fn () => unlink($path));

        return $path;
    }
}
