<?php

declare(strict_types=1);

use App\Actions\ImportRig;
use App\Jobs\HearOn;
use App\Models\Rig;
use App\Models\User;
use App\Rigs\Heard;
use App\Rigs\StoredRig;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Hearing;
use Illuminate\Support\Facades\Queue;
use Tests\Support\Stages;

/** A page as a browser would take it apart. */
function taken(string $html): DOMXPath
{
    $document = new DOMDocument;
    libxml_use_internal_errors(true);
    $document->loadHTML('<?xml encoding="utf-8">'.$html);
    libxml_clear_errors();

    return new DOMXPath($document);
}

/** @return list<string> the addresses of every view of a rig, with something chosen in it */
function viewsOf(Rig $rig): array
{
    $content = StoredRig::load($rig);
    [$unit, $cable, $source, $listener, $situation] = [array_key_first($content->units), array_key_first($content->cables),
        array_key_first($content->sources), array_key_first($content->listeners), array_key_last($content->situations)];
    $socket = collect($content->units)->map(fn ($one) => ["{$one->id}", array_key_first($content->modelOf($one)->sockets)])
        ->first(fn (array $pair) => $pair[1] !== null);

    return array_map(fn (string $view) => "/rigs/{$rig->id}/{$view}", [
        'wishes', "wishes?pair={$source}:{$listener}&ends=1", "wishes?situation={$situation}&against="
            .array_key_first($content->situations), 'stock', "stock?select=unit:{$unit}", 'stock?q=usb', "wiring?select=unit:{$unit}",
        ...($cable === null ? [] : ["wiring?select=cable:{$cable}"]),
        ...($socket === null ? []
            : ["wiring?depth=sockets&select=socket:{$socket[0]}/{$socket[1]}&with={$socket[0]}/{$socket[1]}"]), 'computers',
        "computers?situation={$situation}", 'recipes', "recipes?as=matrix&situation={$situation}", 'tracks',
        "situations?situation={$situation}", 'cables', 'people', 'history', 'history/1/1', 'cards', 'find?q=a',
    ]);
}

it('shows every view of every shipped rig: each field has a name of its own, no form stands in another, and whoever may only look has '
    .'nothing to send', function (string $file) {
        $owner = User::factory()->create();
        $viewer = User::factory()->create();
        $rig = app(ImportRig::class)($owner, (string) file_get_contents($file));
        $rig->members()->create(['user_id' => $viewer->id, 'role' => 'view', 'accepted_at' => now()]);
        foreach (viewsOf($rig->fresh()) as $view) {
            $page = taken((string) $this->actingAs($owner)->get($view)->assertOk()->getContent());
            $unnamed = [];
            foreach ($page->query('//main//input[not(@type="hidden")] | //main//select | //main//textarea') as $field) {
                if (trim($field->getAttribute('aria-label')) === '' && $page->query('ancestor::label', $field)->length === 0) {
                    $unnamed[] = $field->getAttribute('name');
                }
            }
            expect([$view, $unnamed])->toBe([$view, []])->and([$view, $page->query('//form//form')->length])->toBe([$view, 0])
                ->and([$view, $page->query('//p//form')->length])->toBe([$view, 0]);
            $ids = array_map(fn ($one) => $one->getAttribute('id'), iterator_to_array($page->query('//*[@id]')));
            expect([$view, array_values(array_diff_assoc($ids, array_unique($ids)))])->toBe([$view, []]);
            $this->flushSession();
            $looking = taken((string) $this->actingAs($viewer)->get($view)->assertOk()->getContent());
            expect([$view, $looking->query('//main//form[@method="post"]')->length])->toBe([$view, 0]);
            $this->flushSession();
        }
    })->with(fn () => array_filter(shippedRigs(), fn (string $name) => in_array(
        $name,
        ['night-relay', 'ticket-booth', 'lost-property', 'kite-club', 'party-booth', 'night-market',
            'ferry-office'],
        true,
    ), ARRAY_FILTER_USE_KEY));

it('says how many cells are not counted, and counts on in the background where somebody asks for it', function () {
    $user = User::factory()->create();
    $rig = app(ImportRig::class)($user, Stages::text(3, 2));
    $show = fn () => $this->actingAs($user)->get("/rigs/{$rig->id}/wishes")->assertOk();
    $show()->assertSee('2 cells not counted')->assertSee('Count on in the background');
    Queue::fake();
    $this->post("/rigs/{$rig->id}/hear-on", ['situation' => 'nowhere'])->assertNotFound();
    $this->post("/rigs/{$rig->id}/hear-on", ['situation' => 'base'])->assertRedirect();
    $this->post("/rigs/{$rig->id}/hear-on", ['situation' => 'base'])->assertRedirect();
    // Once for all who ask.
    Queue::assertPushed(HearOn::class, 1);
    $show()->assertSee('It is being counted on in the background')->assertDontSee('Count on in the background');
    Queue::pushed(HearOn::class)->first()->handle();
    $show()->assertDontSee('not counted');
    // One that does not come to an end can be asked for again.
    $other = app(ImportRig::class)($user, Stages::text(3, 2));
    $this->post("/rigs/{$other->id}/hear-on", ['situation' => 'base'])->assertRedirect();
    Queue::pushed(HearOn::class)->last()->failed(null);
    $this->actingAs($user)->get("/rigs/{$other->id}/wishes")->assertSee('Count on in the background');
    auth()->guard('web')->forgetUser();
    $this->flushSession();
    $this->actingAs(User::factory()->create())->post("/rigs/{$rig->id}/hear-on", ['situation' => 'base'])->assertNotFound();
});

it('hears a state once for all who ask', function () {
    $user = User::factory()->create();
    $rig = app(ImportRig::class)($user, shipped('rigs/ticket-booth.json'));
    $content = StoredRig::load($rig);
    $forget = fn () => (new ReflectionProperty(Heard::class, 'known'))->setValue(null, []);
    $forget();
    $first = Heard::in($content, $content->base(), $rig);
    $forget();
    // What is kept is what is shown: here another's, so that it can be recognised.
    Heard::keep($rig, $content->base(), new Hearing((new GraphBuilder($content))->build($content->base()), []));
    $forget();
    expect(iterator_to_array(Heard::in($content, $content->base(), $rig)->rows(), false))->toBe([]);
    // After a change none of it holds.
    $this->actingAs($user)->post("/rigs/{$rig->id}/edits", ['edit' => 'place', 'name' => 'Balcony', 'kind' => 'desk', 'revision' => 1])->assertSessionHasNoErrors();
    $now = StoredRig::load($rig->fresh());
    $forget();
    expect(Heard::in($now, $now->base(), $rig->fresh())->counts())->toBe($first->counts());
});
