<?php

declare(strict_types=1);

use App\Models\User;
use Database\Seeders\DatabaseSeeder;

/** @return list<array<string, mixed>> what bin/shots takes, as docs/screenshots/pictures.json says */
function pictures(): array
{
    return json_decode((string) file_get_contents(base_path('docs/screenshots/pictures.json')), true);
}

it('has a picture of every main view', function () {
    $this->seed(DatabaseSeeder::class);
    $demo = User::where('email', DatabaseSeeder::EMAIL)->sole();
    $rig = $demo->rigs()->orderBy('id')->firstOrFail();
    $this->actingAs($demo);
    $html = implode('', array_map(
        fn (string $name) => (string) $this->get(route($name, $rig))->assertOk()->getContent(),
        [
            'rigs.wishes', 'rigs.stock', 'rigs.wiring', 'rigs.computers', 'rigs.recipes', 'rigs.checks', 'rigs.situations', 'rigs.book',
            'rigs.index',
        ],
    ));
    // Where the frame leads to: the pages of the rig, the rigs, the catalogue, own models.
    preg_match_all("~<a[^>]+href=\"(?:https?://[^/\"]+)?(/rigs/{$rig->id}/[a-z]+|/catalogue|/models|)\"~", $html, $links);
    $page = fn (string $path) => str_starts_with($path, '/rigs/') ? basename($path) : ($path ?: '/');
    // A download, and what the search field finds without scripts, are no views.
    $views = array_values(array_diff(array_unique(array_map($page, $links[1])), ['document', 'find']));
    expect(count($views))->toBeGreaterThan(15)->and($views)->toContain('wishes', 'stock', 'wiring', 'checks', 'book', '/catalogue');

    $taken = array_merge(...array_map(fn (array $picture) => array_column($picture['shots'] ?? [], 'page'), pictures()));
    $taken = array_map(fn (string $page) => str_replace('/models/new', '/models', $page), $taken);
    expect(array_values(array_diff($views, $taken)))->toBe([]);
});

it('has each picture that it lists at its stated size, fewer than twenty, and shows it', function () {
    $text = implode('', array_map(fn (string $page) => file_get_contents(base_path($page)), ['README.md', 'docs/starters.md']));
    $listed = pictures();
    expect(count($listed))->toBeGreaterThan(10)->toBeLessThan(20);
    foreach ($listed as $picture) {
        $file = base_path("docs/screenshots/{$picture['file']}");
        expect(is_file($file))->toBeTrue($picture['file'])
            ->and(array_slice((array) getimagesize($file), 0, 2))->toBe($picture['size'], $picture['file'])
            ->and($text)->toContain("screenshots/{$picture['file']})");
    }
    $files = array_map(basename(...), (array) glob(base_path('docs/screenshots/*.png')));
    expect($files)->toEqualCanonicalizing(array_column($listed, 'file'));
});
