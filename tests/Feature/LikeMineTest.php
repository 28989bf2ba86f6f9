<?php

declare(strict_types=1);

use App\Models\User;
use App\Rigs\Starters;
use App\ViewModels\Having;
use App\ViewModels\LikeMine;
use App\ViewModels\StarterCard;

/** A starter that has so many of each, and nothing else. @param  array<string, int>  $has */
function having(string $name, int $units, array $has, string $about = ''): StarterCard
{
    return new StarterCard(mb_strtolower($name), $name, "{$name} at the pier.", $units, 3, null, $has, $about);
}

beforeEach(function () {
    // The simplest first, as they come.
    $this->starters = [
        having('Stall', 4, ['computers' => 1, 'microphones' => 1], 'Laptop'),
        having('Booth', 6, ['computers' => 2, 'mixers' => 1, 'microphones' => 1], 'Tablet'),
        having('Deck', 7, ['computers' => 2, 'mixers' => 1, 'microphones' => 3]),
        having('Hall', 9, ['computers' => 2, 'mixers' => 1, 'microphones' => 2, 'guests' => 1], 'Hall loudspeakers'),
    ];
    $this->names = fn (array $asked, string $text = ''): array => array_map(
        fn (array $fit): string => $fit['card']->name,
        (new LikeMine($this->starters, $asked, $text))->fits,
    );
});

it('sorts by what fits, then by what is missing, then by what is too much, then the simplest', function (array $asked, array $names) {
    expect(($this->names)($asked))->toBe($names);
})->with([
    'nothing asked: as they come' => [[], ['Stall', 'Booth', 'Deck', 'Hall']],
    // Of eight kinds: Hall fits in all, Booth and Deck lack the guest and differ by one microphone, Deck has it too much.
    'all of the largest' => [
        ['computers' => '2', 'mixers' => '1', 'microphones' => '2', 'guests' => '1'],
        ['Hall', 'Deck', 'Booth', 'Stall'],
    ],
    // Stall and Booth fit in seven kinds each (a mixer too much, or too little); what lacks less is nearer.
    'one computer and a mixer' => [['computers' => '1', 'mixers' => '1', 'microphones' => '1'], ['Booth', 'Stall', 'Deck', 'Hall']],
]);

it('says what each has more and less, and counts a kind of a thing as one', function () {
    $fits = array_column(
        (new LikeMine($this->starters, ['computers' => '1', 'microphones' => '2', 'guests' => '2']))->fits,
        null,
    );
    $of = fn (string $name): array => array_values(array_filter($fits, fn (array $fit) => $fit['card']->name === $name))[0];
    expect([$of('Hall')['more'], $of('Hall')['less'], $of('Hall')['same']])->toBe(['1 computer, 1 mixer', '1 guest', 5])
        ->and([$of('Stall')['more'], $of('Stall')['less'], $of('Stall')['same']])->toBe(['', '1 microphone, 2 guests', 6])
        ->and($of('Deck')['fits'])->toBe([
            'computers' => 'more', 'consoles' => 'same', 'capture-cards' => 'same', 'mixers' => 'more', 'interfaces' => 'same',
            'microphones' => 'more', 'guests' => 'less', 'recorders' => 'same',
        ]);
});

it('finds starters by what they are about, by their units too, and takes any number for what it is', function () {
    expect(($this->names)([], 'hall loudspeaker'))->toBe(['Hall'])->and(($this->names)([], 'tablets'))->toBe(['Booth'])
        ->and(($this->names)([], 'submarine'))->toBe([])
        ->and((new LikeMine([], ['computers' => '-3', 'mixers' => '9999', 'guests' => 'many']))->wanted)->toMatchArray([
            'computers' => 0, 'mixers' => LikeMine::MOST, 'guests' => 0,
        ]);
});

it('counts what the shipped starters have, and shows the nearest first', function () {
    // Counted a second way, from the families of the document's units.
    $cards = array_column(StarterCard::all(app(Starters::class)), null, 'id');
    $document = json_decode(shipped('starters/pinball-duel.json'), true);
    $families = array_count_values(array_map(fn (array $unit) => $document['models'][$unit['model']]['family'], $document['units']));
    expect($cards['pinball-duel']->has['computers'])->toBe($families['computer'])
        ->and($cards['pinball-duel']->has['microphones'])->toBe(($families['microphone'] ?? 0) + ($families['headset'] ?? 0));
    $this->actingAs(User::factory()->create())->get('/')->assertOk()->assertSee('Simplest first')->assertDontSee('of 8 fit');
    $this->get('/?computers=2&capture-cards=1&mixers=1&microphones=1&guests=1')->assertOk()->assertSee('Nearest first')
        ->assertSee('6 of 8 fit')->assertSeeInOrder(['Pinball duel', 'Harbour radio', 'Bells of the tower']);
    $this->get('/?like=submarine&computers[]=2')->assertOk()->assertSee('No starter is about that');
    foreach (Having::cases() as $having) {
        expect($having->counted(1))->not->toEndWith('s')->and($having->counted(2))->toEndWith('s');
    }
});
