<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\Rig\Rules\Fit;
use HiddenWire\Core\Rig\Rules\Rule;

/**
 * Whether parts fit together to a rig, by the register of rules. Finds all offences, each with its pointer. Of parts that were made from a
 * sound rig only what is altered since is looked at.
 */
final class Consistency
{
    /** @var list<Rule>|null */
    private static ?array $rules = null;

    /**
     * @param  array<string, list<string>>  $unreadable  ids by list (`places`, `models`, `units`, …) of elements that exist in the document
     *     but could not be read: references to them are not held against it
     * @param  Altered|null  $altered  what is not as in the sound rig that the parts were made from; null where all has to be looked at
     */
    public function __construct(
        private readonly RigParts $parts,
        private readonly array $unreadable = [],
        private readonly ?Altered $altered = null,
    ) {
    }

    /** @return list<Problem> */
    public function problems(): array
    {
        $in = new Fit($this->parts, $this->unreadable, $this->altered?->from);
        foreach (self::rules() as $rule) {
            if ($this->altered === null || $this->altered->isAny($rule->reads())) {
                $rule->check($in);
            }
        }

        return $in->problems();
    }

    /** @return list<Rule> in the order in which their violations are reported */
    private static function rules(): array
    {
        return self::$rules ??= [
            new Rules\IdRule, new Rules\LaneRule, new Rules\AutoMuteRule, new Rules\OutputRule, new Rules\GrowthRule, new Rules\OwnRuleRule,
            new Rules\PickingRule, new Rules\MeterRule, new Rules\NamedSettingRule, new Rules\RouteRule, new Rules\ReferenceRule,
            new Rules\UnitRule,
            new Rules\UnitSettingRule, new Rules\FollowingRule, new Rules\EffectRule, new Rules\SceneRule, new Rules\PictureRule,
            new Rules\GroupRule, new Rules\CableRule, new Rules\DeviceRule, new Rules\PickRule, new Rules\AirRule, new Rules\SizeRule,
            new Rules\SoundRule, new Rules\WishRule, new Rules\SituationRule, new Rules\PaperRule, new Rules\BalanceRule,
            new Rules\ControlRule,
            new Rules\ModelControlRule,
        ];
    }
}
