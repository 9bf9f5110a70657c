<?php

namespace App\Rights;

/** What somebody is in a school. Learners and who accompanies them have no accounts yet; what they will be allowed stands already. */
enum Role: string
{
    case Owner = 'owner';
    case Instructor = 'instructor';
    case Learner = 'learner';
    case Accompanying = 'accompanying-driver';
}
