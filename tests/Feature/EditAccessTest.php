<?php

declare(strict_types=1);

use App\Http\Edits\EditForms;
use App\Rigs\RigFromRows;
use HiddenWire\Core\Document\DocumentWriter;

/** Who may send each edit there is. On a small rig: what an edit says is not looked at here. */
it('lets nobody send an edit whose role it is not', function (string $word) {
    [$rig, $people] = sharedRig('rigs/penny-slot.json');
    $statuses = ['owner' => 302, 'manager' => 302, 'editor' => 302, 'tester' => 403, 'viewer' => 403, 'stranger' => 404, 'guest' => 302];
    foreach ($statuses as $who => $status) {
        DB::beginTransaction();
        auth()->guard('web')->forgetUser();
        $this->flushSession();
        $people[$who] === null || $this->actingAs($people[$who]);
        // Whatever is asked for, who may not change the rig does not even learn what is wrong with it.
        $answer = $this->from('/here')->post("/rigs/{$rig->id}/edits", ['edit' => $word, 'revision' => $rig->revision]);
        expect([$who, $answer->baseResponse->getStatusCode()])->toBe([$who, $status]);
        if ($who === 'guest') {
            $answer->assertRedirect('/sign-in');
        }
        DB::rollBack();
        Cache::flush();
    }
    expect((new DocumentWriter)->write(RigFromRows::rig($rig->fresh())))->toBe(shipped('rigs/penny-slot.json'));
})->with(EditForms::words());
