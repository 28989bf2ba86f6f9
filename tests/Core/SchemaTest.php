<?php

declare(strict_types=1);

use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Document\Json;
use HiddenWire\Core\Rig\Format\Schema;
use Opis\JsonSchema\Validator;
use Tests\Bench\GeneratedRig;
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
    'bad connector' => [fn ($d) => array_replace_recursive(
        $d,
        ['models' => ['dynamic-microphone' => ['sockets' => [['connector' => 'banana']]]]],
    )],
    'channels from zero' => [fn ($d) => array_replace_recursive(
        $d,
        ['models' => ['dynamic-microphone' => ['points' => [['channels' => 0]]]]],
    )],
    'reference without a slash' => [fn ($d) => array_replace_recursive($d, ['cables' => [['from' => 'mic']]])],
    'an empty change' => [fn ($d) => array_replace_recursive(
        $d,
        ['situations' => [['changes' => [['at' => 'desk-8/ch-1', 'set' => (object) []]]]]],
    )],
    'no situations' => [fn ($d) => ['situations' => []] + $d],
]);

it('publishes the schema that the description of the format makes', function () {
    expect((string) file_get_contents(dirname(__DIR__, 2).'/docs/format/rig-3.schema.json'))->toBe(Json::encode(Schema::rig()));
});

/**
 * What another validator, of JavaScript, finds wrong with documents by the published schema.
 *
 * @param  array<string, string>  $documents  by name
 * @return array<string, string> the first fault, by name; of those that have one
 */
function faultsByAnother(array $documents): array
{
    $lines = array_map(fn (string $name, string $text) => json_encode(['name' => $name, 'document' => json_decode($text)]), array_keys($documents), $documents);
    $process = proc_open(['node', __DIR__.'/../Support/validate.mjs'], [['pipe', 'r'], ['pipe', 'w'], STDERR], $pipes, dirname(__DIR__, 2));
    fwrite($pipes[0], implode("\n", $lines)."\n");
    fclose($pipes[0]);
    $said = stream_get_contents($pipes[1]);
    expect(proc_close($process))->toBe(0);
    $all = array_map(fn (string $line) => json_decode($line, true), array_filter(explode("\n", $said)));
    expect($all)->toHaveCount(count($documents));

    return array_column(array_filter($all, fn (array $one) => $one['fault'] !== null), 'fault', 'name');
}

it('lets others\' validators take every document that is read: shipped, of earlier versions, and of any size', function () {
    preg_match('/```json\n(.*?)```/s', (string) file_get_contents(dirname(__DIR__, 2).'/docs/format/README.md'), $example);
    $texts = ['example' => $example[1], ...array_map(fn (string $file) => (string) file_get_contents($file), shippedRigs())];
    $documents = [];
    $count = [1 => 0, 2 => 0, 3 => 0];
    foreach ($texts as $name => $text) {
        foreach (array_keys($count) as $version) {
            $written = (string) preg_replace('/"version": 3/', "\"version\": {$version}", $text, 1);
            if ($version < 3) {
                // Up to version 2 every device had a name, and some keys were not there.
                $written = (string) preg_replace(
                    ['/("device": \{"direction": "\w+")(?!, "system_name")/', '/,\s*"(lowers_others": true|widens": \[[^]]*\]|picked_in": "system"|pattern": "[\w-]+")/',
                        '/"tone-correction"/', '/"room-sound"/'],
                    ['$1, "system_name": "Device"', '', '"enhancement"', '"spatial"'],
                    $written,
                );
            }
            // What says something that came later is none of that version.
            if (isRead($written)) {
                $documents["{$name} {$version}"] = $written;
                $count[$version]++;
            }
        }
    }
    for ($i = 1; $i <= 8; $i++) {
        $documents["made {$i}"] = GeneratedRig::text(20 * $i, 60 * $i);
    }
    expect($count[1])->toBeGreaterThan(0)->and($count[2])->toBeGreaterThan(5)->and($count[3])->toBe(count($texts))
        ->and(faultsByAnother($documents))->toBe([]);
});

it('lets others\' validators take every gain to the hundredth, and every delay to the thousandth', function () {
    $documents = [];
    for ($hundredths = -2000; $hundredths <= 2000; $hundredths++) {
        $documents["{$hundredths} hundredths of a dB"] = Draft::rig()->unit('mic', 'dynamic-microphone')->source('v', 'mic/capsule')
            ->with(fn (array $d) => array_replace_recursive($d, ['sources' => [['origins' => [['db' => $hundredths / 100, 'delay_ms' => ($hundredths + 2000) / 1000]]]]]))->text();
    }
    expect(faultsByAnother($documents))->toBe([]);
    // And it does refuse what is wrong.
    expect(faultsByAnother(['too loud' => str_replace('"db":-20,', '"db":-200.5,', $documents['-2000 hundredths of a dB'])]))->toHaveKey('too loud');
});
