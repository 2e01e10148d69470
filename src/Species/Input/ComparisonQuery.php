<?php

declare(strict_types=1);

namespace App\Species\Input;

use Hylognosis\Flora\LifeStage;
use Symfony\Component\Validator\Constraints as Assert;

/** Which taxa are laid side by side. */
final readonly class ComparisonQuery
{
    /**
     * @param string    $taxa  two to four ids, with commas between
     * @param string    $flora its name; empty: the one this person works with
     * @param LifeStage $stage how old the trees are
     * @param string    $site  id of the place whose months are asked for; empty: the reference place of the flora
     */
    public function __construct(
        #[Assert\Regex(
            '/^[a-z0-9-]{1,64}(,[a-z0-9-]{1,64}){1,3}$/D',
            message: 'Name two to four kinds by their ids, with commas between.',
        ),]
        public string $taxa,
        #[Assert\Regex('/^[a-z0-9-]{0,64}$/D')] public string $flora = '',
        public LifeStage $stage = LifeStage::Mature,
        #[Assert\AtLeastOneOf([new Assert\Blank(), new Assert\Uuid()])] public string $site = '',
    ) {
    }
}
