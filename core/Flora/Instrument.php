<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

/** What is needed to read a character. */
enum Instrument: string
{
    case None = 'none';
    case Rule = 'rule';
    case HandLens = 'hand-lens';
    case Knife = 'knife';
    case UltravioletTorch = 'ultraviolet-torch';
}
