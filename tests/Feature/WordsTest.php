<?php

declare(strict_types=1);

use App\Actions\ImportRig;
use App\Models\User;
use App\Rigs\CatalogueFiles;
use App\ViewModels\ModelSearch;

/** Searches of one kind, of those that are worked with or of those that were put away. */
function searches(string $in, bool $away): array
{
    $all = json_decode((string) file_get_contents(dirname(__DIR__).'/Words/searches.json'), true);

    return array_values(array_filter($all, fn (array $one) => $one['in'] === $in && $one['away'] === $away));
}

/** How many of some searches have what they are to find among the first three, and which have not. */
function foundAmongFirst(array $searches, callable $find): array
{
    $missed = [];
    foreach ($searches as $search) {
        $first = array_slice($find($search['text']), 0, 3);
        if (array_intersect($first, $search['finds']) === []) {
            $missed[] = "{$search['text']}: ".implode(', ', $first);
        }
    }

    return $missed;
}

it('finds models by what people call them, among the first three', function (bool $away) {
    $search = new ModelSearch(CatalogueFiles::catalogue()->models);
    $searches = searches('models', $away);
    $missed = foundAmongFirst($searches, fn (string $text): array => array_map(strval(...), array_keys($search->find($text))));
    expect(count($missed) / count($searches))->toBeLessThanOrEqual(0.05, implode("\n", $missed));
})->with(['worked with' => [false], 'put away' => [true]]);

it('finds views and actions by what people call them, among the first three', function (bool $away) {
    $user = User::factory()->create();
    $rig = app(ImportRig::class)($user, shipped('rigs/night-relay.json'));
    $this->actingAs($user);
    $searches = searches('rig', $away);
    $missed = foundAmongFirst($searches, fn (string $text): array => array_column(
        $this->getJson("/rigs/{$rig->id}/find?".http_build_query(['q' => $text]))->json(),
        'what',
    ));
    expect(count($missed) / count($searches))->toBeLessThanOrEqual(0.05, implode("\n", $missed));
})->with(['worked with' => [false], 'put away' => [true]]);

it('finds a cable without its hyphen or its noughts, and never only a wireless thing for a wired one', function () {
    $user = User::factory()->create();
    $rig = app(ImportRig::class)($user, shipped('rigs/night-relay.json'));
    $this->actingAs($user);
    foreach (['w07', 'W-07', 'w 7', '07'] as $text) {
        expect($this->getJson("/rigs/{$rig->id}/find?".http_build_query(['q' => $text]))->json()[0]['what'])->toBe('W-07');
    }
    $found = array_keys((new ModelSearch(CatalogueFiles::catalogue()->models))->find('wired headset'));
    expect($found[0])->not->toBe('wireless-headset')->and(count($found))->toBeGreaterThan(1);
});

it('offers what comes nearest where nothing has all of the words', function () {
    $search = new ModelSearch(CatalogueFiles::catalogue()->models);
    expect(array_keys($search->find('purple headset')))->not->toBe([])->and(array_keys($search->find('xyzzy')))->toBe([]);
});

it('has words of things that there are, and none twice', function () {
    $words = fn (string $file): array => json_decode((string) file_get_contents(resource_path("words/{$file}.json")), true);
    expect(array_diff(array_keys($words('models')), array_keys(CatalogueFiles::catalogue()->models)))->toBe([])
        ->and(array_diff(array_keys($words('families')), array_column(HiddenWire\Core\Equipment\Family::cases(), 'value')))->toBe([])
        ->and(array_diff(array_keys($words('views')), [...array_column(App\ViewModels\Step::cases(), 'value'), 'grounds', 'faults', 'tones']))->toBe([]);
    foreach (['models', 'families', 'views', 'actions'] as $file) {
        foreach ($words($file) as $of => $also) {
            expect(array_map(mb_strtolower(...), $also))->toBe(array_values(array_unique(array_map(mb_strtolower(...), $also))), "{$file}: {$of}");
        }
    }
});
