<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

/** How often a hand changes how loud a sound is during a show. */
enum Touched: string
{
    case Often = 'often';
    case Seldom = 'seldom';
    case Never = 'never';
}
