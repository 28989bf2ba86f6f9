<?php

declare(strict_types=1);

use App\Models\Layout;
use App\Models\Rig;
use Database\Seeders\DatabaseSeeder;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Process;

/** @return array{int, string} exit code and output */
function command(string $command): array
{
    $code = Artisan::call($command);

    return [$code, Artisan::output()];
}

function demo(): string
{
    return resource_path('rigs/night-relay.json');
}

/** A spoiled copy of a shipped rig in a file of its own. */
function spoiledFile(string $search, string $replace): string
{
    $file = (string) tempnam(sys_get_temp_dir(), 'rig');
    file_put_contents($file, str_replace($search, $replace, shipped('rigs/penny-slot.json')));

    return $file;
}

it('validates', function () {
    expect(command('rig:validate '.demo()))->toBe([0, "ok\n"]);
    [$code, $output] = command('rig:validate '.spoiledFile('"pc/usb-1"', '"pc/usb-77"'));
    expect($code)->toBe(1)->and($output)->toContain('/cables/0/to: The unit "pc" has no socket "usb-77".');
    expect(command('rig:validate /nowhere.json')[0])->toBe(1);
});

it('reports JSON of the agreed form', function () {
    [$code, $output] = command('rig:report '.demo().' --situation=on-air --json');
    $report = json_decode($output, true, flags: JSON_THROW_ON_ERROR);
    expect($code)->toBe(0)->and(array_keys($report))
        ->toBe(['rig', 'situation', 'hearing', 'loops', 'devices', 'findings', 'causes', 'untried'])
        ->and($report['hearing'])->toHaveCount(11 * 8)->and($report['situation'])->toBe('on-air')->and(array_keys($report['devices']))
        ->toBe(['sim-pc', 'cast-pc']);
    foreach ($report['hearing'] as $pair) {
        expect(array_keys($pair))
            ->toBe(['source', 'listener', 'wish', 'verdict', 'level_db', 'delay_ms', 'channels', 'legs', 'lost', 'lost_channels', 'beside', 'doubling', 'lowered', 'cancelling',
                'uncounted', 'arrivals', 'more_arrivals']);
        foreach ($pair['arrivals'] as $arrival) {
            expect(array_keys($arrival))->toBe(['gain_db', 'delay_ms', 'channels', 'hops'])
                ->and(round(array_sum(array_column($arrival['hops'], 'gain_db')), 2))->toEqual($arrival['gain_db'])
                ->and(array_keys($arrival['hops'][0]))->toBe(['kind', 'ref', 'label', 'gain_db', 'delay_ms']);
        }
        if ($pair['wish'] === 'must-not' && $pair['verdict'] === 'ok') {
            expect($pair['arrivals'])->toBe([]);
        }
    }
});

it(
    'reports a table for people',
    fn () => expect(command('rig:report '.demo().' --situation=break')[1])->toContain('Night relay at the pier arcade: Break')
        ->toContain('doubled'),
);

it('refuses a situation, a source, a listener that is not there, and says which are', function () {
    expect(command('rig:report '.demo().' --situation=lunch'))->toMatchArray([0 => 1])
        ->and(command('rig:report '.demo().' --situation=lunch')[1])->toContain('on-air, break, talk, off');
    expect(command('rig:trace '.demo().' --from=nobody --to=viewers')[0])->toBe(1)->and(command('rig:trace '.demo().' --from=voice')[0])
        ->toBe(1);
});

it('traces every way, or says what is the matter', function () {
    $doubled = json_decode(command('rig:trace '.demo().' --from=rally --to=viewers --json')[1], true);
    expect($doubled['verdict'])->toBe('doubled')->and($doubled['arrivals'])->toHaveCount(2)
        ->and($doubled['causes'][0]['cures'][0]['sentence'])->toBe('Switch off Old console (Source 5) → Track 1 of Broadcast program');
    $missing = json_decode(command('rig:trace '.demo().' --from=chime --to=viewers --json')[1], true);
    expect($missing['arrivals'])->toBe([])->and($missing['causes'][0]['cause'])
        ->toBe('Donation chimes · Chimes follows the system default')->and($missing['causes'][0]['cures'][0]['edits'][0])
        ->toBe(['edit' => 'set-pick', 'at' => 'chimes/sound', 'pick' => ['at' => 'chimes/sound', 'device' => 'softmix/played-1',
            'mute' => false, 'also' => []]]);
    expect(command('rig:trace '.demo().' --from=chime --to=viewers')[1])->toContain('It gets as far as');
});

it('mends a document, by number or all of it, and refuses a number that there is not', function () {
    $to = (string) tempnam(sys_get_temp_dir(), 'mended');
    expect(command('rig:mend '.demo())[1])->toContain('5 causes for 32 cells')->toContain('2.1 Donation chimes: play Chimes to "Chimes in"');
    expect(command('rig:mend '.demo()." --cause=2 -o {$to}")[1])->toContain('26 cells are not as wished still.');
    expect(command('rig:mend '.demo()." --all -o {$to}"))->toMatchArray([0 => 0])->and(command("rig:mend {$to}")[1])
        ->toContain('All as wished, in every situation.');
    expect(command("rig:mend {$to} --all -o {$to}")[1])->toContain('there is nothing to mend');
    expect(command('rig:mend '.demo()." --cause=6 -o {$to}"))->toMatchArray([0 => 1])
        ->and(command('rig:mend '.demo()." --cause=6 -o {$to}")[1])->toContain('There is no cause 6: this document has 1 to 5.');
    expect(command('rig:mend '.demo()." --cause=1 --cure=2 -o {$to}")[1])->toContain('Cause 1 has no cure 2: it has 1 to 1.')
        ->and(command('rig:mend '.demo().' --all')[1])->toContain('Say where to write');
    unlink($to);
});

it('gives the taps of the sum at each ear', function () {
    $report = json_decode(command('rig:report '.demo().' --json --response')[1], true);
    $pair = array_values(array_filter($report['hearing'], fn ($one) => $one['source'] === 'rally' && $one['listener'] === 'viewers'))[0];
    // By hand, from the mixer's sheet: the desk's way at -6 dB, and the capture card's at -3 dB, 110.5 ms later.
    $left = array_values(array_filter($pair['response'], fn ($one) => $one['ear_channel'] === 1 && $one['part'] === 1))[0];
    expect($left['ear'])->toBe('broadcast/stream')->and($left['taps'])->toHaveCount(2)
        ->and(round($left['taps'][1][0] - $left['taps'][0][0], 3))->toBe(110.5)
        ->and(array_map(fn ($tap) => round(20 * log10($tap[1]), 1), $left['taps']))->toEqualCanonicalizing([-6.0, -3.0]);
});

it('needs no database for a document', function () {
    $run = Process::path(base_path())->env(['DB_HOST' => '127.0.0.1', 'DB_PORT' => '1', 'APP_ENV' => 'local'])
        ->run(['php', 'artisan', 'rig:report', demo(), '--json']);
    expect($run->exitCode())->toBe(0)->and(json_decode($run->output(), true)['rig'])->toBe('Night relay at the pier arcade');
});

it('seeds the demo once, through the ordinary import, with every map laid out, and what is missing by command', function () {
    $this->seed(DatabaseSeeder::class);
    $this->seed(DatabaseSeeder::class);
    expect(Rig::query()->count())->toBe(3);
    expect(command('rig:layout --missing'))->toBe([0, "0 maps laid out.\n"]);
    // Of each rig two depths are forgotten; one is laid out by its name, and then the others.
    Layout::query()->whereIn('depth', ['inside', 'everything'])->delete();
    expect(command('rig:layout --missing --depth=inside'))->toBe([0, "3 maps laid out.\n"])
        ->and(command('rig:layout --missing'))->toBe([0, "3 maps laid out.\n"])
        ->and(command('rig:layout --missing'))->toBe([0, "0 maps laid out.\n"]);
    $this->post('/sign-in', ['email' => DatabaseSeeder::EMAIL, 'password' => DatabaseSeeder::PASSWORD])->assertRedirect('/');
});

it('says which command installs what is missing', function () {
    $failing = fn (string $error, int $code) => Process::fake(['*' => Process::result(errorOutput: $error, exitCode: $code)]);
    $failing("node:internal/modules:1\nError [ERR_MODULE_NOT_FOUND]: Cannot find package 'elkjs'\n    at finalizeResolution", 1);
    [$code, $output] = command('rig:export '.demo().' --format=svg');
    expect($code)->toBe(1)->and($output)->toContain('Run "npm ci".')->not->toContain('finalizeResolution');
    $failing('sh: 1: exec: node: not found', 127);
    expect(command('rig:export '.demo().' --format=svg')[1])->toContain('bin/start installs it');
    // Without the PHP libraries nothing of the framework runs, and one line is said.
    $folder = sys_get_temp_dir().'/hidden-wire-bare-'.getmypid();
    File::ensureDirectoryExists($folder);
    File::copy(base_path('artisan'), "{$folder}/artisan");
    exec(escapeshellarg(PHP_BINARY).' '.escapeshellarg("{$folder}/artisan").' rig:validate x 2>&1', $lines, $code);
    File::deleteDirectory($folder);
    expect($code)->toBe(1)->and($lines)->toHaveCount(1)->and($lines[0])->toContain('Run "composer install"');
});

it('compares two situations', function () {
    [$code, $output] = command('rig:compare '.demo().' --from=on-air --to=break');
    expect($code)->toBe(0)->and($output)->toContain('Broadcast program: Caller (Source 3) muted')
        ->toContain('Presenter voice at Viewers: no longer heard')->toContain('Music at Viewers: 10.0 dB louder');
    expect(json_decode(command('rig:compare '.demo().' --to=talk --json')[1], true)['changes'])->toHaveCount(7);
    expect(command('rig:compare '.demo().' --to=lunch')[0])->toBe(1);
});
