<?php

declare(strict_types=1);

use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\InvalidDocument;
use Opis\JsonSchema\Validator;
use Tests\Support\Draft;

function fitsSchema(mixed $document): bool
{
    static $validator = null;
    if ($validator === null) {
        $validator = new Validator;
        foreach ([1, 2, 3] as $version) {
            $validator->resolver()?->registerFile("https://hidden-wire.test/format/rig-{$version}.schema.json", dirname(__DIR__, 2)
                ."/docs/format/rig-{$version}.schema.json");
        }
    }
    $version = $document->version ?? 3;

    return in_array($version, [1, 2, 3], true)
        && $validator->validate($document, "https://hidden-wire.test/format/rig-{$version}.schema.json")->isValid();
}

function isRead(string $text): bool
{
    try {
        (new DocumentReader)->read($text);

        return true;
    } catch (InvalidDocument) {
        return false;
    }
}

it('fits the shipped rigs to the published schema', function (string $file) {
    expect(fitsSchema(json_decode((string) file_get_contents($file))))->toBeTrue();
})->with(fn () => shippedRigs());

it('fits the example on the format\'s page to the schema, and reads it', function () {
    preg_match('/```json\n(.*?)```/s', (string) file_get_contents(dirname(__DIR__, 2).'/docs/format/README.md'), $found);
    expect(fitsSchema(json_decode($found[1])))->toBeTrue()->and(isRead($found[1]))->toBeTrue();
});

it('refuses in the schema what the reader refuses for its shape', function (callable $change) {
    $text = Draft::rig()->unit('mic', 'dynamic-microphone')->unit('desk-8', 'eight-input-desk')->cable('xlr', 'mic/out', 'desk-8/mic-1')
        ->source('v', 'mic/capsule')->with($change)->text();
    expect(fitsSchema(json_decode($text)))->toBeFalse()->and(isRead($text))->toBeFalse();
})->with([
    'unknown key' => [fn ($d) => $d + ['x' => 1]],
    'unknown key in a model' => [fn ($d) => array_replace_recursive($d, ['models' => ['dynamic-microphone' => ['maker' => 'x']]])],
    'bad id' => [fn ($d) => array_replace_recursive($d, ['units' => [['id' => 'A B']]])],
    'too long a name' => [fn ($d) => ['name' => str_repeat('x', 121)] + $d],
    'bad connector' => [fn ($d) => array_replace_recursive($d,
        ['models' => ['dynamic-microphone' => ['sockets' => [['connector' => 'banana']]]]])],
    'channels from zero' => [fn ($d) => array_replace_recursive($d,
        ['models' => ['dynamic-microphone' => ['points' => [['channels' => 0]]]]])],
    'too many decimals' => [fn ($d) => array_replace_recursive($d, ['sources' => [['origins' => [['db' => 0.001]]]]])],
    'reference without a slash' => [fn ($d) => array_replace_recursive($d, ['cables' => [['from' => 'mic']]])],
    'an empty change' => [fn ($d) => array_replace_recursive($d,
        ['situations' => [['changes' => [['at' => 'desk-8/ch-1', 'set' => (object) []]]]]])],
    'no situations' => [fn ($d) => ['situations' => []] + $d],
]);
