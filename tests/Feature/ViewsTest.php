<?php

declare(strict_types=1);

use App\Actions\ImportRig;
use App\Models\Rig;
use App\Models\User;
use App\Rigs\StoredRig;

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
    })->with(fn () => array_filter(shippedRigs(), fn (string $name) => in_array($name,
        ['night-relay', 'ticket-booth', 'lost-property', 'kite-club', 'party-booth', 'night-market',
            'ferry-office'], true), ARRAY_FILTER_USE_KEY));
