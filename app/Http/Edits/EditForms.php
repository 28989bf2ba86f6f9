<?php

declare(strict_types=1);

namespace App\Http\Edits;

use HiddenWire\Core\Edit\RigEdit;

/** Every change that a page can ask for, by the word that it sends in `edit`. A new one is one method and one line here. */
final class EditForms
{
    /** Each a static method that takes {@see EditFields} and gives a list of {@see RigEdit}. */
    private const FORMS = [
        'wish' => [WishForms::class, 'wish'],
        'wishes' => [WishForms::class, 'wishes'],
        'mark-wish' => [WishForms::class, 'mark'],
        'import-wishes' => [WishForms::class, 'import'],
        'rebalance' => [WishForms::class, 'rebalance'],
        'loudness' => [WishForms::class, 'loudness'],
        'right-mix' => [WishForms::class, 'rightMix'],
        'own-slot' => [WishForms::class, 'ownSlot'],
        'one-knob' => [WishForms::class, 'oneKnob'],
        'touched' => [WishForms::class, 'touched'],
        'balance' => [WishForms::class, 'balance'],
        'add-source' => [WishForms::class, 'addSource'],
        'add-listener' => [WishForms::class, 'addListener'],
        'place-sound' => [WishForms::class, 'placeSound'],
        'place-all' => [WishForms::class, 'placeAll'],
        'bring-service' => [WishForms::class, 'bringService'],
        'distance' => [WishForms::class, 'distance'],
        'place-listener' => [WishForms::class, 'placeListener'],
        'remove-source' => [WishForms::class, 'removeSource'],
        'remove-listener' => [WishForms::class, 'removeListener'],
        'cure' => [WishForms::class, 'cure'],
        'cures' => [WishForms::class, 'cures'],
        'describe-rig' => [StockForms::class, 'describeRig'],
        'rename' => [StockForms::class, 'rename'],
        'place' => [StockForms::class, 'place'],
        'remove-place' => [StockForms::class, 'removePlace'],
        'add-unit' => [StockForms::class, 'addUnit'],
        'add-list' => [StockForms::class, 'addList'],
        'copy-unit' => [StockForms::class, 'copyUnit'],
        'move-unit' => [StockForms::class, 'moveUnit'],
        'describe-unit' => [StockForms::class, 'describeUnit'],
        'units' => [StockForms::class, 'units'],
        'swap-unit' => [StockForms::class, 'swapUnit'],
        'grow-unit' => [StockForms::class, 'growUnit'],
        'remove-unit' => [StockForms::class, 'removeUnit'],
        'plug' => [CableForms::class, 'plug'],
        'plug-in-turn' => [CableForms::class, 'plugInTurn'],
        'between' => [CableForms::class, 'between'],
        'unplug' => [CableForms::class, 'unplug'],
        'replug' => [CableForms::class, 'replug'],
        'replace' => [CableForms::class, 'replace'],
        'cable' => [CableForms::class, 'cable'],
        'cables' => [CableForms::class, 'cables'],
        'import-cables' => [CableForms::class, 'import'],
        'renumber' => [CableForms::class, 'renumber'],
        'device' => [ComputerForms::class, 'device'],
        'name-device' => [ComputerForms::class, 'nameDevice'],
        'observed' => [ComputerForms::class, 'observed'],
        'pick-opens' => [ComputerForms::class, 'opens'],
        'plug-last' => [ComputerForms::class, 'plugLast'],
        'name-point' => [SettingForms::class, 'name'],
        'default' => [ComputerForms::class, 'default'],
        'pick' => [ComputerForms::class, 'pick'],
        'system-level' => [ComputerForms::class, 'systemLevel'],
        'program-level' => [ComputerForms::class, 'programLevel'],
        'start-order' => [ComputerForms::class, 'startOrder'],
        'route' => [SettingForms::class, 'route'],
        'point' => [SettingForms::class, 'point'],
        'add-scene' => [SceneForms::class, 'add'],
        'picture' => [SceneForms::class, 'picture'],
        'remove-picture' => [SceneForms::class, 'removePicture'],
        'scene-picture' => [SceneForms::class, 'scenePicture'],
        'rename-scene' => [SceneForms::class, 'rename'],
        'scene-source' => [SceneForms::class, 'source'],
        'sound-always' => [SceneForms::class, 'always'],
        'choose-scene' => [SceneForms::class, 'choose'],
        'remove-scene' => [SceneForms::class, 'remove'],
        'add-effect' => [EffectForms::class, 'add'],
        'effect' => [EffectForms::class, 'set'],
        'switch-effect' => [EffectForms::class, 'toggle'],
        'move-effect' => [EffectForms::class, 'move'],
        'remove-effect' => [EffectForms::class, 'remove'],
        'follow' => [SettingForms::class, 'follow'],
        'copy-recipe' => [SettingForms::class, 'copyRecipe'],
        'link-level' => [SettingForms::class, 'link'],
        'value' => [SettingForms::class, 'value'],
        'printed' => [SettingForms::class, 'printed'],
        'add-situation' => [SituationForms::class, 'add'],
        'remove-situation' => [SituationForms::class, 'remove'],
        'absent' => [SituationForms::class, 'absent'],
        'pulled' => [SituationForms::class, 'pulled'],
        'clear-plugs' => [SituationForms::class, 'clearPlugs'],
        'clear-change' => [SituationForms::class, 'clear'],
        'reason' => [PaperForms::class, 'reason'],
        'fact' => [PaperForms::class, 'fact'],
        'measure' => [PaperForms::class, 'measure'],
        'prove' => [PaperForms::class, 'prove'],
        'show-step' => [PaperForms::class, 'step'],
        'move-show-step' => [PaperForms::class, 'moveStep'],
        'remove-show-step' => [PaperForms::class, 'removeStep'],
        'found' => [RoomForms::class, 'found'],
        'control' => [ControlForms::class, 'set'],
        'control-move' => [ControlForms::class, 'move'],
        'control-unmove' => [ControlForms::class, 'unmove'],
        'control-assign' => [ControlForms::class, 'assign'],
        'control-tried' => [ControlForms::class, 'tried'],
        'controls-of' => [ControlForms::class, 'ofUnit'],
        'remove-control' => [ControlForms::class, 'remove'],
        'accept' => [PaperForms::class, 'accept'],
        'reopen' => [PaperForms::class, 'reopen'],
    ];

    /** @return list<string> */
    public static function words(): array
    {
        return array_keys(self::FORMS);
    }

    /** @return list<RigEdit> */
    public static function edits(string $word, EditFields $in): array
    {
        /** @var callable(EditFields): list<RigEdit> $form */
        $form = self::FORMS[$word];

        return $form($in);
    }
}
