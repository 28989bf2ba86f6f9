<?php

declare(strict_types=1);

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Cards;
use HiddenWire\Core\Book\CardStep;
use HiddenWire\Core\Checks\Checks;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Rig\Phase;
use HiddenWire\Core\Rig\SystemKind;
use Tests\Support\Draft;

/** A computer of a kind with a recorder that takes a microphone, and a soundboard that can only be set in the system. */
function kindly(?string $kind, array $more = []): Draft
{
    return Draft::rig()->place('room')->unit('pc', 'laptop', 'room')->unit('mic', 'usb-microphone-plain')
        ->unit('take', 'clip-recorder', 'room')->unit('horns', 'soundboard', 'room')
        ->cable('usb', 'mic/usb', 'pc/usb-1')->pick('take/in-1', ['device' => 'mic/usb/rec'])->pick('horns/sound', ['device' => 'pc/headset/phones'])
        ->situation('alone', [])
        ->with(function (array $d) use ($kind, $more) {
            $d['units'][0]['system'] = array_filter(['name' => 'Ferry', 'kind' => $kind]);
            $d['situations'][1]['absent'] = ['take'];
            foreach ($d['units'] as $i => $unit) {
                $d['units'][$i] = [...$unit, ...$more[$unit['id']] ?? []];
            }

            return $d;
        });
}

/** @return list<string> steps of a section of the computer's card, with their notes */
function kindSteps(Draft $draft, string $section, string $card = 'computer/pc'): array
{
    $steps = Cards::card(new BookInput($draft->make()), $card)?->sections[$section] ?? [];

    return array_map(fn (CardStep $step) => $step->note === '' ? $step->text : "{$step->text} ({$step->note})", $steps);
}

it('says what a kind of system comes to, once each', function () {
    foreach (SystemKind::cases() as $kind) {
        expect($kind->facts())->toBe(array_values(array_unique($kind->facts())))->not->toBe([]);
    }
    expect(SystemKind::Looping->facts())->toContain('It lists programs with their devices, while they play.')
        ->and(SystemKind::Plain->facts())->toContain('Programs take what goes to a playback device only by a virtual cable.')
        ->and(SystemKind::Mobile->facts())->toContain('One program has the sound at a time.');
});

it('puts on the card what the system has to allow, and nothing where nobody has said what it can do', function (?string $kind, array $steps) {
    expect(kindSteps(kindly($kind), 'Allow'))->toBe($steps);
})->with([
    'not said' => [null, []], 'a looping one' => ['looping', []],
    'a plain one' => ['plain', ['Allow Take the microphone (it records silence until then)']],
    'a telephone' => ['mobile', ['Allow Take the microphone (it records silence until then)']],
]);

it('tells on the card where a device is chosen', function (?string $kind, string $says) {
    expect(implode("\n", kindSteps(kindly($kind), 'In the programs')))->toContain($says);
})->with([
    'in its list, while it plays' => ['looping', 'in the system\'s list of programs, where it stands while it plays'],
    'in its list, as far as is known' => [null, 'in the system\'s list of programs'],
    'nowhere' => ['plain', 'which neither it nor the system can choose: it follows the system default'],
]);

it('tells programs that are to sound at once where one has the sound', function (?string $kind, array $situations) {
    $findings = array_values(array_filter(
        Checks::findings(new Inspection(new Hearings(kindly($kind)->make()))),
        fn (Finding $one) => $one->code === 'computer.one-program',
    ));
    expect(array_map(fn (Finding $one) => $one->situations, $findings))->toBe($situations);
    if ($findings !== []) {
        expect($findings[0]->sentence)->toBe('Take and Horns are to sound at once on Pc, whose system gives the sound to one of them');
    }
    // In the other situation one of them does not run.
})->with(['not said' => [null, []], 'plain' => ['plain', []], 'a telephone' => ['mobile', [['base']]]]);

it('says at every start what asks for rights, and of a trial that it disturbs until it has a licence', function () {
    $draft = kindly('looping', [])->unit('renamer', 'device-utility', 'room')->unit('pipe', 'virtual-cable-second', 'room');
    $start = implode("\n", kindSteps($draft, Phase::Open->label(), 'run-down'));
    $install = implode("\n", kindSteps($draft, 'Install'));
    expect($start)->toContain('start Renamer (with the rights of an administrator)')->toContain('start Pipe (without a licence it disturbs the sound)')
        ->and($install)->toContain('needs the rights of an administrator at every start')->toContain('disturbs the sound until it has a licence');
    $licensed = $draft->with(function (array $d) {
        $last = array_key_last($d['units']);
        $d['units'][$last]['licence'] = 'AB-12';

        return $d;
    });
    expect(implode("\n", kindSteps($licensed, Phase::Open->label(), 'run-down')))->not->toContain('disturbs')
        ->and(implode("\n", kindSteps($licensed, 'Install')))->not->toContain('disturbs');
});
