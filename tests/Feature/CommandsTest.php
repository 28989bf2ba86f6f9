<?php

declare(strict_types=1);

use App\Models\Rig;
use Database\Seeders\DatabaseSeeder;
use Illuminate\Support\Facades\Artisan;
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
    expect($code)->toBe(0)->and(array_keys($report))->toBe(['rig', 'situation', 'hearing', 'loops', 'devices', 'findings'])
        ->and($report['hearing'])->toHaveCount(11 * 8)->and($report['situation'])->toBe('on-air')->and(array_keys($report['devices']))->toBe(['sim-pc', 'cast-pc']);
    foreach ($report['hearing'] as $pair) {
        expect(array_keys($pair))->toBe(['source', 'listener', 'wish', 'verdict', 'arrivals']);
        foreach ($pair['arrivals'] as $arrival) {
            expect(array_keys($arrival))->toBe(['gain_db', 'delay_ms', 'channels', 'hops'])->and(round(array_sum(array_column($arrival['hops'], 'gain_db')), 2))->toEqual($arrival['gain_db'])
                ->and(array_keys($arrival['hops'][0]))->toBe(['kind', 'ref', 'label', 'gain_db', 'delay_ms']);
        }
        if ($pair['wish'] === 'must-not' && $pair['verdict'] === 'ok') {
            expect($pair['arrivals'])->toBe([]);
        }
    }
});

it('reports a table for people', fn () => expect(command('rig:report '.demo().' --situation=break')[1])->toContain('Night relay at the pier arcade: Break')->toContain('doubled'));

it('refuses a situation, a source, a listener that is not there, and says which are', function () {
    expect(command('rig:report '.demo().' --situation=lunch'))->toMatchArray([0 => 1])->and(command('rig:report '.demo().' --situation=lunch')[1])->toContain('on-air, break, talk, off');
    expect(command('rig:trace '.demo().' --from=nobody --to=viewers')[0])->toBe(1)->and(command('rig:trace '.demo().' --from=voice')[0])->toBe(1);
});

it('traces every way, or the nearest break', function () {
    $doubled = json_decode(command('rig:trace '.demo().' --from=rally --to=viewers --json')[1], true);
    expect($doubled['verdict'])->toBe('doubled')->and($doubled['arrivals'])->toHaveCount(2)->and($doubled['break'])->toBeNull();
    $missing = json_decode(command('rig:trace '.demo().' --from=chime --to=viewers --json')[1], true);
    expect($missing['arrivals'])->toBe([])->and($missing['break']['changes'][0])->toBe(['why' => 'another device picked', 'ref' => 'chimes/sound', 'text' => 'Let Chimes of Donation chimes use Chimes in']);
    expect(command('rig:trace '.demo().' --from=chime --to=viewers')[1])->toContain('It gets as far as');
});

it('needs no database for a document', function () {
    $run = Process::path(base_path())->env(['DB_HOST' => '127.0.0.1', 'DB_PORT' => '1', 'APP_ENV' => 'local'])->run(['php', 'artisan', 'rig:report', demo(), '--json']);
    expect($run->exitCode())->toBe(0)->and(json_decode($run->output(), true)['rig'])->toBe('Night relay at the pier arcade');
});

it('seeds the demo once, through the ordinary import, and lays its maps out', function () {
    $this->seed(DatabaseSeeder::class);
    $this->seed(DatabaseSeeder::class);
    expect(Rig::query()->count())->toBe(3);
    expect(command('rig:layout --missing'))->toBe([0, "12 map(s) laid out.\n"])->and(command('rig:layout --missing'))->toBe([0, "0 map(s) laid out.\n"]);
    $this->post('/sign-in', ['email' => DatabaseSeeder::EMAIL, 'password' => DatabaseSeeder::PASSWORD])->assertRedirect('/');
});

it('compares two situations', function () {
    [$code, $output] = command('rig:compare '.demo().' --from=on-air --to=break');
    expect($code)->toBe(0)->and($output)->toContain('Broadcast program: Source 3 muted')->toContain('Presenter voice at Viewers: heard, ok → not heard, ok');
    expect(json_decode(command('rig:compare '.demo().' --to=talk --json')[1], true)['changes'])->toHaveCount(7);
    expect(command('rig:compare '.demo().' --to=lunch')[0])->toBe(1);
});
