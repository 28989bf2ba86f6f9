<?php

declare(strict_types=1);

use App\Actions\ImportRig;
use App\Models\MemberRole;
use App\Models\Rig as Record;
use App\Models\User;
use HiddenWire\Core\Document\Catalogue;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Hearing;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Tests\Support\Draft;
use Tests\TestCase;

require_once __DIR__.'/Support/judged.php';

pest()->extend(TestCase::class)->use(RefreshDatabase::class)->in('Feature');

/** The text of a shipped document, by its path below resources. */
function shipped(string $path): string
{
    return (string) file_get_contents(dirname(__DIR__).'/resources/'.$path);
}

/** @return array<string, string> every shipped rig's file by its name */
function shippedRigs(): array
{
    $files = [];
    foreach ([...(array) glob(dirname(__DIR__).'/resources/rigs/*.json'),
        ...(array) glob(dirname(__DIR__).'/resources/starters/*.json')] as $file) {
        $files[basename((string) $file, '.json')] = (string) $file;
    }

    return $files;
}

/** How many times slower than usual this machine is now, by work of a known size; 1 where it is not. A limit of time is multiplied by it. */
function slowness(): float
{
    $start = hrtime(true);
    for ($i = 0, $sum = 0; $i < 3_000_000; $i++) {
        $sum += $i % 7;
    }

    // About 30 ms where nothing else runs.
    return max(1.0, (hrtime(true) - $start) / 1e6 / 40);
}

/** A dynamic microphone into the first input of a desk, and its computer's track. @param  list<array<string, mixed>>  $measures */
function throughDesk(float $gain, array $measures = []): Draft
{
    return Draft::rig()->unit('mic', 'dynamic-microphone')->unit('desk', 'two-channel-interface')->unit('pc', 'streaming-computer')
        ->unit('rec', 'clip-recorder')->cable('xlr', 'mic/out', 'desk/in-1')->cable('usb', 'desk/usb', 'pc/usb-c-1')
        ->pick('rec/in-1', ['device' => 'desk/usb/rec', 'channels' => [1]])->source('voice', 'mic/capsule')->track('tape', 'rec/track-1')
        ->wish('voice', 'tape', 'must')->set('desk', 'points', 'in-1', ['gain' => $gain])
        ->with(fn (array $d) => ['places' => [['id' => 'desk', 'kind' => 'computer', 'name' => 'Desk']]] + $d + ($measures === [] ? [] : ['measures' => $measures]));
}

/**
 * A shipped rig with one person of each role, of an owner of its own.
 *
 * @return array{Record, array<string, User|null>} people by "owner", "manager", "editor", "tester", "viewer", "stranger" and "guest"
 */
function sharedRig(string $path): array
{
    $people = [];
    foreach (['owner', 'editor', 'viewer', 'tester', 'manager', 'stranger'] as $who) {
        $people[$who] = User::factory()->create();
    }
    $rig = app(ImportRig::class)($people['owner'], shipped($path));
    $roles = ['editor' => MemberRole::Edit, 'viewer' => MemberRole::View, 'tester' => MemberRole::Test, 'manager' => MemberRole::Manage];
    foreach ($roles as $who => $role) {
        $rig->members()->create(['user_id' => $people[$who]->id, 'role' => $role, 'accepted_at' => now()]);
    }

    return [$rig, $people + ['guest' => null]];
}

/** The models that come with the application. */
function wholeCatalogue(): Catalogue
{
    static $catalogue = null;

    return $catalogue ??= Catalogue::of((function () {
        foreach ((array) glob(dirname(__DIR__).'/resources/catalogue/*.json') as $file) {
            yield basename((string) $file, '.json') => (string) file_get_contents((string) $file);
        }
    })());
}

/** A rig as it is heard in a situation; in the base where none is named. */
function hearingOf(Rig $rig, ?string $situation = null): Hearing
{
    return new Hearing((new GraphBuilder($rig))->build($rig->situation($situation) ?? throw new InvalidArgumentException));
}
