<?php

declare(strict_types=1);

namespace ZipStream\Exception;

/** Named by the spreadsheet library; never thrown here. */
final class OverflowException extends \OverflowException
{
}
