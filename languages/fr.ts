<?xml version="1.0" encoding="utf-8"?>
<!DOCTYPE TS>
<TS version="2.1" language="fr" sourcelanguage="en_GB">
<context>
    <name>QObject</name>
    <message>
        <source>No hook was found on it: drag eye, bend and point to where they are. A plain card behind the fly, seen square from the side, helps.</source>
        <translation>Aucun hameçon trouvé dessus&#xa0;: faites glisser œillet, courbure et pointe où ils sont. Une carte unie derrière la mouche, vue d&apos;équerre de côté, aide.</translation>
    </message>
    <message>
        <source>The hook is found: %1 px a mm, a length of the shank to ± %2 mm (one in three is further off).</source>
        <translation>L&apos;hameçon est trouvé&#xa0;: %1 px par mm, une longueur de hampe à ± %2 mm (une sur trois est plus loin).</translation>
    </message>
    <message>
        <source>The tail&apos;s tip is where the silhouette ends; pale tips may be missed: drag it.</source>
        <translation>La pointe de la queue est là où finit la silhouette&#xa0;; des pointes pâles peuvent manquer&#xa0;: faites-la glisser.</translation>
    </message>
    <message>
        <source>Overall %1 mm.</source>
        <translation>En tout %1 mm.</translation>
    </message>
    <message>
        <source>Hackle below to above: %1 (1 is even).</source>
        <translation>Hackle dessous sur dessus&#xa0;: %1 (1 est égal).</translation>
    </message>
    <message>
        <source>Drag each ring to its tip or edge.</source>
        <translation>Faites glisser chaque anneau sur sa pointe ou son bord.</translation>
    </message>
    <message>
        <source>%1 to %2 · %3</source>
        <translation>%1 à %2 · %3</translation>
    </message>
    <message>
        <source>wants %1</source>
        <translation>veut %1</translation>
    </message>
    <message>
        <source>, </source>
        <translation>, </translation>
    </message>
    <message>
        <source>✗ no feather with a fibre of %1</source>
        <translation>✗ aucune plume à la fibre de %1</translation>
    </message>
    <message>
        <source>10 mm</source>
        <translation>10 mm</translation>
    </message>
    <message>
        <source>half an inch</source>
        <translation>un demi-pouce</translation>
    </message>
    <message>
        <source>stands out</source>
        <translation>ressort</translation>
    </message>
    <message>
        <source>seen</source>
        <translation>se voit</translation>
    </message>
    <message>
        <source>hardly seen</source>
        <translation>se voit à peine</translation>
    </message>
    <message>
        <source>darker, %1</source>
        <translation>plus sombre, %1</translation>
    </message>
    <message>
        <source>lighter, %1</source>
        <translation>plus clair, %1</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1&#xa0;: %2</translation>
    </message>
    <message>
        <source>That could not be worked out</source>
        <translation>Cela n&apos;a pu être calculé</translation>
    </message>
    <message>
        <source>Again: %1</source>
        <translation>De nouveau&#xa0;: %1</translation>
    </message>
    <message>
        <source>undo %1</source>
        <translation>annuler %1</translation>
    </message>
    <message>
        <source>Undone: %1</source>
        <translation>Annulé&#xa0;: %1</translation>
    </message>
    <message>
        <source>Pictures (%1);;All files (*)</source>
        <translation>Images (%1);;Tous les fichiers (*)</translation>
    </message>
    <message>
        <source>Written to %1</source>
        <translation>Écrit dans %1</translation>
    </message>
    <message>
        <source>%1 could not be written: %2</source>
        <translation>%1 n&apos;a pu être écrit&#xa0;: %2</translation>
    </message>
    <message>
        <source>standard wire</source>
        <translation>fer normal</translation>
    </message>
    <message>
        <source>%1 heavy</source>
        <translation>fort de fer ×%1</translation>
    </message>
    <message>
        <source>%1 fine</source>
        <translation>fin de fer ×%1</translation>
    </message>
    <message>
        <source>size </source>
        <translation>taille </translation>
    </message>
    <message>
        <source>Ctrl+K</source>
        <translation>Ctrl+K</translation>
    </message>
    <message>
        <source>find anything: a dressing, hook, material, team, day, station</source>
        <translation>trouver n&apos;importe quoi&#xa0;: un modèle, hameçon, matériau, train, jour, poste</translation>
    </message>
    <message>
        <source>Ctrl+1 … Ctrl+9, Ctrl+0</source>
        <translation>Ctrl+1 … Ctrl+9, Ctrl+0</translation>
    </message>
    <message>
        <source>the stations, in the order of the work</source>
        <translation>les postes, dans l&apos;ordre du travail</translation>
    </message>
    <message>
        <source>Alt+1 … Alt+5</source>
        <translation>Alt+1 … Alt+5</translation>
    </message>
    <message>
        <source>the flies of the cast, from the bob down</source>
        <translation>les mouches du lancer, depuis la sauteuse</translation>
    </message>
    <message>
        <source>Alt+C, Alt+D, Alt+B</source>
        <translation>Alt+C, Alt+D, Alt+B</translation>
    </message>
    <message>
        <source>to the cast, the Dressing and the Book menu</source>
        <translation>au lancer, au menu Modèle et au menu Livre</translation>
    </message>
    <message>
        <source>on the cast: ← →, Enter, Delete, Insert</source>
        <translation>sur le lancer&#xa0;: ← →, Entrée, Suppr, Inser</translation>
    </message>
    <message>
        <source>choose a fly, hang another there, take it off, hang one in an empty place</source>
        <translation>choisir une mouche, en accrocher une autre, l&apos;ôter, en accrocher une à une place vide</translation>
    </message>
    <message>
        <source>Ctrl+Z, Ctrl+Shift+Z</source>
        <translation>Ctrl+Z, Ctrl+Maj+Z</translation>
    </message>
    <message>
        <source>undo, redo</source>
        <translation>annuler, refaire</translation>
    </message>
    <message>
        <source>Ctrl+L</source>
        <translation>Ctrl+L</translation>
    </message>
    <message>
        <source>light or dark bench</source>
        <translation>établi clair ou sombre</translation>
    </message>
    <message>
        <source>F1, Shift+F1</source>
        <translation>F1, Maj+F1</translation>
    </message>
    <message>
        <source>the guide at this station, this sheet</source>
        <translation>le guide à ce poste, cette feuille</translation>
    </message>
    <message>
        <source>Alt and a click, ?</source>
        <translation>Alt et un clic,&#xa0;?</translation>
    </message>
    <message>
        <source>ask where a number comes from</source>
        <translation>demander d&apos;où vient un nombre</translation>
    </message>
    <message>
        <source>Ctrl+P</source>
        <translation>Ctrl+P</translation>
    </message>
    <message>
        <source>on paper: the card, recipe, team, gauge, season</source>
        <translation>sur papier&#xa0;: la carte, la recette, le train, la jauge, la saison</translation>
    </message>
    <message>
        <source>Ctrl+O, Ctrl+Q</source>
        <translation>Ctrl+O, Ctrl+Q</translation>
    </message>
    <message>
        <source>open a book, leave</source>
        <translation>ouvrir un livre, quitter</translation>
    </message>
    <message>
        <source>Alt+T, ↑ ↓, Enter</source>
        <translation>Alt+T, ↑ ↓, Entrée</translation>
    </message>
    <message>
        <source>to the ticket, from part to part, into its fields</source>
        <translation>à la fiche, de partie en partie, dans ses champs</translation>
    </message>
    <message>
        <source>Insert, Delete</source>
        <translation>Inser, Suppr</translation>
    </message>
    <message>
        <source>add a part where tying order wants it, take one off</source>
        <translation>ajouter une partie là où l&apos;ordre du montage la veut, en ôter une</translation>
    </message>
    <message>
        <source>Alt+↑, Alt+↓</source>
        <translation>Alt+↑, Alt+↓</translation>
    </message>
    <message>
        <source>tie it earlier or later</source>
        <translation>la monter plus tôt ou plus tard</translation>
    </message>
    <message>
        <source>Tab, arrows, Page keys</source>
        <translation>Tab, flèches, touches Page</translation>
    </message>
    <message>
        <source>on the drawing: from handle to handle, 0.1 mm, to the next landmark</source>
        <translation>sur le dessin&#xa0;: de poignée en poignée, 0,1 mm, au repère suivant</translation>
    </message>
    <message>
        <source>Alt while dragging</source>
        <translation>Alt en glissant</translation>
    </message>
    <message>
        <source>between the landmarks</source>
        <translation>entre les repères</translation>
    </message>
    <message>
        <source>wheel, + −, 0</source>
        <translation>molette, + −, 0</translation>
    </message>
    <message>
        <source>larger or smaller where the cursor is, all of it again</source>
        <translation>plus grand ou plus petit sous le curseur, de nouveau tout</translation>
    </message>
    <message>
        <source>Space or middle button, drag</source>
        <translation>Espace ou bouton du milieu, glisser</translation>
    </message>
    <message>
        <source>move the drawing</source>
        <translation>déplacer le dessin</translation>
    </message>
    <message>
        <source>T, U, E</source>
        <translation>T, U, E</translation>
    </message>
    <message>
        <source>on the drawing: turn it half round, look down on it, look at it from the eye</source>
        <translation>sur le dessin&#xa0;: le retourner, le voir de dessus, le voir depuis l&apos;œillet</translation>
    </message>
    <message>
        <source>Alt+H, Alt+S</source>
        <translation>Alt+H, Alt+S</translation>
    </message>
    <message>
        <source>the hook, its size</source>
        <translation>l&apos;hameçon, sa taille</translation>
    </message>
    <message>
        <source>Esc</source>
        <translation>Échap</translation>
    </message>
    <message>
        <source>put the ghost away, then the chosen part</source>
        <translation>ranger le fantôme, puis la partie choisie</translation>
    </message>
    <message>
        <source>drag on the card outline</source>
        <translation>glisser sur le contour de la carte</translation>
    </message>
    <message>
        <source>calibrate this screen, so that the gauge is true</source>
        <translation>étalonner cet écran, pour que la jauge soit vraie</translation>
    </message>
    <message>
        <source>Space, Page Down, →</source>
        <translation>Espace, Page suiv., →</translation>
    </message>
    <message>
        <source>the next step</source>
        <translation>l&apos;étape suivante</translation>
    </message>
    <message>
        <source>Backspace, ←</source>
        <translation>Retour arrière, ←</translation>
    </message>
    <message>
        <source>the step before</source>
        <translation>l&apos;étape précédente</translation>
    </message>
    <message>
        <source>digits, +</source>
        <translation>chiffres, +</translation>
    </message>
    <message>
        <source>count turns</source>
        <translation>compter les tours</translation>
    </message>
    <message>
        <source>W</source>
        <translation>W</translation>
    </message>
    <message>
        <source>what went wrong, and what mends it</source>
        <translation>ce qui a raté, et ce qui y remédie</translation>
    </message>
    <message>
        <source>Home, End</source>
        <translation>Début, Fin</translation>
    </message>
    <message>
        <source>the first and the last step</source>
        <translation>la première et la dernière étape</translation>
    </message>
    <message>
        <source>Ctrl+Return</source>
        <translation>Ctrl+Entrée</translation>
    </message>
    <message>
        <source>keep this fly&apos;s check</source>
        <translation>garder le contrôle de cette mouche</translation>
    </message>
    <message>
        <source>F5</source>
        <translation>F5</translation>
    </message>
    <message>
        <source>find the smallest change</source>
        <translation>chercher le plus petit changement</translation>
    </message>
    <message>
        <source>drag a fly</source>
        <translation>glisser une mouche</translation>
    </message>
    <message>
        <source>to another place, or out of the box</source>
        <translation>à une autre place, ou hors de la boîte</translation>
    </message>
    <message>
        <source>drag on the leader, ↑ ↓ ← →</source>
        <translation>glisser sur le bas de ligne, ↑ ↓ ← →</translation>
    </message>
    <message>
        <source>how far apart two flies hang</source>
        <translation>à quelle distance pendent deux mouches</translation>
    </message>
    <message>
        <source>drag the arrow</source>
        <translation>glisser la flèche</translation>
    </message>
    <message>
        <source>the wind: where from, and how much</source>
        <translation>le vent&#xa0;: d&apos;où, et combien</translation>
    </message>
    <message>
        <source>F6</source>
        <translation>F6</translation>
    </message>
    <message>
        <source>choose three</source>
        <translation>en choisir trois</translation>
    </message>
    <message>
        <source>drag a lane or block, ↑ ↓ ← →</source>
        <translation>glisser une ligne ou un bloc, ↑ ↓ ← →</translation>
    </message>
    <message>
        <source>your own order of the evening</source>
        <translation>votre propre ordre de la soirée</translation>
    </message>
    <message>
        <source>drag the end</source>
        <translation>glisser la fin</translation>
    </message>
    <message>
        <source>when it must be over</source>
        <translation>quand cela doit être fini</translation>
    </message>
    <message>
        <source>B, U, M, W or P</source>
        <translation>B, U, M, W ou P</translation>
    </message>
    <message>
        <source>where the fish took: bob, upper, middle, lower, point</source>
        <translation>où le poisson a pris&#xa0;: sauteuse, haute, médiane, basse, pointe</translation>
    </message>
    <message>
        <source>K, R or L, then Enter</source>
        <translation>K, R ou L, puis Entrée</translation>
    </message>
    <message>
        <source>kept, returned or lost</source>
        <translation>gardé, relâché ou perdu</translation>
    </message>
    <message>
        <source>on the day: ← →, Delete</source>
        <translation>sur le jour&#xa0;: ← →, Suppr</translation>
    </message>
    <message>
        <source>from mark to mark, take one out</source>
        <translation>de marque en marque, en ôter une</translation>
    </message>
    <message>
        <source>double click</source>
        <translation>double clic</translation>
    </message>
    <message>
        <source>go to where it is worked with</source>
        <translation>aller là où l&apos;on y travaille</translation>
    </message>
    <message>
        <source>draw on a feather</source>
        <translation>tracer sur une plume</translation>
    </message>
    <message>
        <source>along the ends of its barbs; its marks by ← → ↑ ↓</source>
        <translation>le long des bouts de ses barbes&#xa0;; ses marques par ← → ↑ ↓</translation>
    </message>
    <message>
        <source>Ctrl or Shift click</source>
        <translation>Ctrl ou Maj et un clic</translation>
    </message>
    <message>
        <source>several, to be changed at once</source>
        <translation>plusieurs, à changer à la fois</translation>
    </message>
    <message>
        <source>the calliper</source>
        <translation>le pied à coulisse</translation>
    </message>
    <message>
        <source>reads into the field that has the cursor</source>
        <translation>lit dans le champ où est le curseur</translation>
    </message>
    <message>
        <source>The paper as it will be printed</source>
        <translation>Le papier tel qu&apos;il sera imprimé</translation>
    </message>
    <message>
        <source>%1 by %2 mm</source>
        <translation>%1 sur %2 mm</translation>
    </message>
    <message>
        <source>Plan</source>
        <translation>Plan</translation>
    </message>
    <message>
        <source>Cut</source>
        <translation>Coupe</translation>
    </message>
    <message>
        <source>Tie</source>
        <translation>Montage</translation>
    </message>
    <message>
        <source>Check</source>
        <translation>Contrôle</translation>
    </message>
    <message>
        <source>Balance</source>
        <translation>Équilibre</translation>
    </message>
    <message>
        <source>Drift</source>
        <translation>Dérive</translation>
    </message>
    <message>
        <source>Water</source>
        <translation>Eau</translation>
    </message>
    <message>
        <source>Evening</source>
        <translation>Soirée</translation>
    </message>
    <message>
        <source>Daybook</source>
        <translation>Carnet</translation>
    </message>
    <message>
        <source>Drawers</source>
        <translation>Tiroirs</translation>
    </message>
    <message>
        <source>size the fly</source>
        <translation>mesurer la mouche</translation>
    </message>
    <message>
        <source>what to cut from which feather</source>
        <translation>que couper de quelle plume</translation>
    </message>
    <message>
        <source>at the vice, step by step</source>
        <translation>à l&apos;étau, étape par étape</translation>
    </message>
    <message>
        <source>is it as planned, and what your hand always does</source>
        <translation>est-elle comme prévu, et ce que fait toujours votre main</translation>
    </message>
    <message>
        <source>the three as a team</source>
        <translation>les trois en train</translation>
    </message>
    <message>
        <source>how they fish</source>
        <translation>comment elles pêchent</translation>
    </message>
    <message>
        <source>the day, its rules, and which three to choose</source>
        <translation>le jour, ses règles, et lesquelles trois choisir</translation>
    </message>
    <message>
        <source>batches, and what fits before bedtime</source>
        <translation>séries, et ce qui tient avant le coucher</translation>
    </message>
    <message>
        <source>what happened, and what it tells</source>
        <translation>ce qui s&apos;est passé, et ce que cela dit</translation>
    </message>
    <message>
        <source>hooks, feathers, threads and the rest, and measuring them</source>
        <translation>hameçons, plumes, soies et le reste, et leur mesure</translation>
    </message>
    <message>
        <source>Sizes traditional wet flies to the hook in the vice and weighs them as a team.</source>
        <translation>Mesure les mouches noyées traditionnelles à l&apos;hameçon dans l&apos;étau et les pèse en train.</translation>
    </message>
    <message>
        <source>a bench book or bench file</source>
        <translation>un livre ou un fichier d&apos;établi</translation>
    </message>
    <message>
        <source>open the demo, Loch Skerrin</source>
        <translation>ouvrir la démonstration, Loch Skerrin</translation>
    </message>
    <message>
        <source>open this station: plan, cut, tie, check, balance, drift, water, evening, daybook or drawers</source>
        <translation>ouvrir ce poste&#xa0;: plan, cut, tie, check, balance, drift, water, evening, daybook ou drawers</translation>
    </message>
    <message>
        <source>%1 tied</source>
        <translation>%1 montées</translation>
    </message>
    <message>
        <source>sinks %1 cm/s, pushes %2 mN, %3 mg</source>
        <translation>coule à %1 cm/s, pousse %2 mN, %3 mg</translation>
    </message>
    <message>
        <source>%1: wind %2 m/s, fetch %3 m</source>
        <translation>%1&#xa0;: vent %2 m/s, fetch %3 m</translation>
    </message>
    <message>
        <source>no dressing is on the bench</source>
        <translation>aucun modèle n&apos;est sur l&apos;établi</translation>
    </message>
    <message>
        <source>no team hangs on the cast</source>
        <translation>aucun train ne pend au lancer</translation>
    </message>
    <message>
        <source>this water has no rule card</source>
        <translation>cette eau n&apos;a pas de carte de règles</translation>
    </message>
    <message>
        <source>the daybook has no day yet</source>
        <translation>le carnet n&apos;a pas encore de jour</translation>
    </message>
    <message>
        <source>nothing of that name</source>
        <translation>rien de ce nom</translation>
    </message>
    <message>
        <source>Points and barbs go into eyes and fingers: glasses on, points away.</source>
        <translation>Pointes et ardillons vont dans les yeux et les doigts&#xa0;: lunettes, pointes à l&apos;écart.</translation>
    </message>
    <message>
        <source>The fishery&apos;s own rules decide; this card is only a copy of them.</source>
        <translation>Le règlement de la pêche décide lui-même&#xa0;; cette carte n&apos;en est qu&apos;une copie.</translation>
    </message>
    <message>
        <source>In a boat: life jackets on; the boat owner&apos;s and local rules decide.</source>
        <translation>En bateau&#xa0;: gilets de sauvetage&#xa0;; le règlement du loueur et du lieu décide.</translation>
    </message>
    <message>
        <source>Lead: wash hands; some waters forbid it. The fishery&apos;s rules and local law decide.</source>
        <translation>Plomb&#xa0;: se laver les mains&#xa0;; certaines eaux l&apos;interdisent. Le règlement de la pêche et la loi locale décident.</translation>
    </message>
    <message>
        <source>Some waters and contests forbid beads and weight: the fishery&apos;s own rules decide.</source>
        <translation>Certaines eaux et concours interdisent billes et lest&#xa0;: le règlement de la pêche décide.</translation>
    </message>
    <message>
        <source>Many birds are protected: a lawful source, its papers for travel and sale, and local law decide. Found feathers are often not allowed. A hint, not advice.</source>
        <translation>Beaucoup d&apos;oiseaux sont protégés&#xa0;: une source licite, ses papiers pour voyage et vente, et la loi locale décident. Les plumes trouvées sont souvent interdites. Une indication, pas un conseil.</translation>
    </message>
    <message>
        <source>Some furs are protected or restricted: a lawful source and local law decide. Mind the dust.</source>
        <translation>Certaines fourrures sont protégées ou restreintes&#xa0;: une source licite et la loi locale décident. Attention à la poussière.</translation>
    </message>
    <message>
        <source> barbless</source>
        <translation> sans ardillon</translation>
    </message>
    <message>
        <source>in the box</source>
        <translation>dans la boîte</translation>
    </message>
    <message>
        <source>beaded</source>
        <translation>à bille</translation>
    </message>
    <message>
        <source>palmer</source>
        <translation>palmer</translation>
    </message>
    <message>
        <source>winged</source>
        <translation>ailée</translation>
    </message>
    <message>
        <source>spider</source>
        <translation>araignée</translation>
    </message>
    <message>
        <source>%1, size %2%3</source>
        <translation>%1, taille %2%3</translation>
    </message>
    <message>
        <source>, barbless</source>
        <translation>, sans ardillon</translation>
    </message>
    <message>
        <source> · measured</source>
        <translation> · mesuré</translation>
    </message>
    <message>
        <source>barbed</source>
        <translation>à ardillon</translation>
    </message>
    <message>
        <source>barbless</source>
        <translation>sans ardillon</translation>
    </message>
    <message>
        <source> · in %1</source>
        <translation> · dans %1</translation>
    </message>
    <message>
        <source>measured</source>
        <translation>mesuré</translation>
    </message>
    <message>
        <source>%1 chewed</source>
        <translation>%1 mâchées</translation>
    </message>
    <message>
        <source>%1 lost</source>
        <translation>%1 perdues</translation>
    </message>
    <message>
        <source>%1 of %2 tied</source>
        <translation>%1 sur %2 montées</translation>
    </message>
    <message>
        <source>fetch %1 m</source>
        <translation>fetch %1 m</translation>
    </message>
    <message>
        <source>%1 h, %2 fish</source>
        <translation>%1 h, %2 poissons</translation>
    </message>
    <message>
        <source>%1 m</source>
        <translation>%1 m</translation>
    </message>
    <message>
        <source>%1 there</source>
        <translation>%1 là</translation>
    </message>
    <message>
        <source>%1 mg</source>
        <translation>%1 mg</translation>
    </message>
    <message>
        <source>%1 off-cuts</source>
        <translation>%1 chutes</translation>
    </message>
    <message>
        <source>not counted</source>
        <translation>non compté</translation>
    </message>
    <message>
        <source>%1 of %2 left</source>
        <translation>%1 sur %2 restent</translation>
    </message>
    <message>
        <source>fibre %1 to %2</source>
        <translation>fibre %1 à %2</translation>
    </message>
    <message>
        <source>%1 readings</source>
        <translation>%1 mesures</translation>
    </message>
    <message>
        <source>like %1</source>
        <translation>comme %1</translation>
    </message>
    <message>
        <source>usual: %1</source>
        <translation>d&apos;usage&#xa0;: %1</translation>
    </message>
    <message>
        <source>usual</source>
        <translation>d&apos;usage</translation>
    </message>
    <message>
        <source>bob</source>
        <translation>sauteuse</translation>
    </message>
    <message>
        <source>upper</source>
        <translation>haute</translation>
    </message>
    <message>
        <source>middle</source>
        <translation>médiane</translation>
    </message>
    <message>
        <source>lower</source>
        <translation>basse</translation>
    </message>
    <message>
        <source>point</source>
        <translation>pointe</translation>
    </message>
    <message>
        <source>; fished %1</source>
        <translation>&#xa0;; pêchée %1</translation>
    </message>
    <message>
        <source>%1  %2</source>
        <translation>%1  %2</translation>
    </message>
    <message>
        <source>%1 · thread %2</source>
        <translation>%1 · soie %2</translation>
    </message>
    <message>
        <source>Lay the feather on the lines: they are as long as they say</source>
        <translation>Posez la plume sur les lignes&#xa0;: elles ont la longueur qu&apos;elles disent</translation>
    </message>
    <message>
        <source>Longest fly %1%2%3</source>
        <translation>Plus longue mouche %1%2%3</translation>
    </message>
    <message>
        <source>, from %1</source>
        <translation>, de %1</translation>
    </message>
    <message>
        <source>, read %1</source>
        <translation>, lu %1</translation>
    </message>
    <message>
        <source>eye here</source>
        <translation>œillet ici</translation>
    </message>
    <message>
        <source>nothing beyond</source>
        <translation>rien au-delà</translation>
    </message>
    <message>
        <source>Lay the fly in the slot, the front of its eye against the black edge; hold it by the bend, mind the point.</source>
        <translation>Posez la mouche dans la fente, le devant de son œillet contre le bord noir&#xa0;; tenez-la par la courbure, gare à la pointe.</translation>
    </message>
    <message>
        <source>Wet it and stroke it back first: tail, wing and hackle are all measured to their last tip.</source>
        <translation>Mouillez-la et lissez-la d&apos;abord&#xa0;: queue, aile et hackle se mesurent jusqu&apos;à leur dernière pointe.</translation>
    </message>
    <message>
        <source>this rule card says no longest fly</source>
        <translation>cette carte de règles ne dit aucune plus longue mouche</translation>
    </message>
    <message>
        <source>a longest fly of %1 is longer than the card has room for</source>
        <translation>une plus longue mouche de %1 est plus longue que la carte n&apos;a de place</translation>
    </message>
    <message>
        <source>50 mm%1: measure this bar; if it isn&apos;t, the printer scaled</source>
        <translation>50 mm%1&#xa0;: mesurez ce trait&#xa0;; s&apos;il ne les fait pas, l&apos;imprimante a changé l&apos;échelle</translation>
    </message>
    <message>
        <source> (%1)</source>
        <translation> (%1)</translation>
    </message>
    <message>
        <source>expected a name that ends in .pdf or .svg</source>
        <translation>attendu un nom qui finit en .pdf ou .svg</translation>
    </message>
    <message>
        <source>this paper is too small for it, and it is never scaled</source>
        <translation>ce papier est trop petit, et rien n&apos;est jamais réduit</translation>
    </message>
    <message>
        <source>can&apos;t be written: %1</source>
        <translation>ne peut être écrit&#xa0;: %1</translation>
    </message>
    <message>
        <source>%1 fish in %2 rod-hours</source>
        <translation>%1 poissons en %2 heures de canne</translation>
    </message>
    <message>
        <source>The season of %1</source>
        <translation>La saison de %1</translation>
    </message>
    <message>
        <source>No day on the water was written down.</source>
        <translation>Aucun jour sur l&apos;eau n&apos;a été noté.</translation>
    </message>
    <message>
        <source>%1 days · %2 rod-hours · %3 fish, %4 kept · %5 lost</source>
        <translation>%1 jours · %2 heures de canne · %3 poissons, %4 gardés · %5 perdus</translation>
    </message>
    <message>
        <source>What caught, fish a rod-hour</source>
        <translation>Ce qui a pris, poissons par heure de canne</translation>
    </message>
    <message>
        <source>%1 %2</source>
        <translation>%1 %2</translation>
    </message>
    <message>
        <source>By place: %1</source>
        <translation>Par place&#xa0;: %1</translation>
    </message>
    <message>
        <source>Each bar is the middle four fifths of what a rate may be; where bars overlap the year can&apos;t tell the two apart.</source>
        <translation>Chaque barre est les quatre cinquièmes du milieu de ce que peut être un taux&#xa0;; là où les barres se recouvrent l&apos;année ne sait pas les distinguer.</translation>
    </message>
    <message>
        <source>Ctrl+N</source>
        <translation>Ctrl+N</translation>
    </message>
    <message>
        <source>the doors: begin a book, or go back to one</source>
        <translation>les portes&#xa0;: commencer un livre, ou revenir à un autre</translation>
    </message>
</context>
<context>
    <name>machair::app::Application</name>
    <message>
        <source>there is not enough memory for that</source>
        <translation>la mémoire ne suffit pas pour cela</translation>
    </message>
    <message>
        <source>the program could not do that. The book is as it was</source>
        <translation>le programme n&apos;a pu le faire. Le livre est comme il était</translation>
    </message>
</context>
<context>
    <name>machair::app::ArrivalsSheet</name>
    <message>
        <source>What would come in</source>
        <translation>Ce qui entrerait</translation>
    </message>
    <message>
        <source>Take in what is ticked</source>
        <translation>Reprendre ce qui est coché</translation>
    </message>
    <message>
        <source>With all that it needs, as one step that can be undone</source>
        <translation>Avec tout ce qu&apos;il faut, en une étape que l&apos;on peut annuler</translation>
    </message>
    <message>
        <source>Leave it</source>
        <translation>Laisser</translation>
    </message>
    <message>
        <source>Nothing is taken in</source>
        <translation>Rien n&apos;est repris</translation>
    </message>
    <message>
        <source>In %1: tick what you want in your book</source>
        <translation>Dans %1&#xa0;: cochez ce que vous voulez dans votre livre</translation>
    </message>
    <message>
        <source>%1, a %2: </source>
        <translation>%1, %2&#xa0;: </translation>
    </message>
    <message>
        <source>new</source>
        <translation>nouveau</translation>
    </message>
    <message>
        <source>here already</source>
        <translation>déjà là</translation>
    </message>
    <message>
        <source>differs from yours and would stand beside it</source>
        <translation>diffère du vôtre et se mettrait à côté</translation>
    </message>
    <message>
        <source>There is nothing in it.</source>
        <translation>Il n&apos;y a rien dedans.</translation>
    </message>
    <message>
        <source>Tick what you want, or leave it.</source>
        <translation>Cochez ce que vous voulez, ou laissez.</translation>
    </message>
    <message>
        <source>Taken in from %1: %2 dressings more. Undo takes all of it out again</source>
        <translation>Repris de %1&#xa0;: %2 modèles de plus. Annuler ôte tout de nouveau</translation>
    </message>
</context>
<context>
    <name>machair::app::AskCard</name>
    <message>
        <source>Where a number comes from</source>
        <translation>D&apos;où vient un nombre</translation>
    </message>
    <message>
        <source>← back</source>
        <translation>← retour</translation>
    </message>
    <message>
        <source>To the number that was asked before (Backspace)</source>
        <translation>Au nombre demandé avant (Retour arrière)</translation>
    </message>
    <message>
        <source>Ask this one</source>
        <translation>Demander celui-ci</translation>
    </message>
</context>
<context>
    <name>machair::app::AskedView</name>
    <message>
        <source>Where the next measure is taken</source>
        <translation>Où se prend la mesure suivante</translation>
    </message>
</context>
<context>
    <name>machair::app::BalanceStation</name>
    <message>
        <source>Choose the place on the cast first</source>
        <translation>Choisissez d&apos;abord la place sur le lancer</translation>
    </message>
    <message>
        <source>School</source>
        <translation>École</translation>
    </message>
    <message>
        <source>School of team-making</source>
        <translation>École des trains</translation>
    </message>
    <message>
        <source>What a team should be. Rules of thumb; copy one to change its numbers</source>
        <translation>Ce que devrait être un train. Règles empiriques&#xa0;; copiez-en une pour changer ses nombres</translation>
    </message>
    <message>
        <source>Copy</source>
        <translation>Copier</translation>
    </message>
    <message>
        <source>A copy of this school under your own name, to change its numbers in</source>
        <translation>Une copie de cette école sous votre nom, pour y changer ses nombres</translation>
    </message>
    <message>
        <source>Leader…</source>
        <translation>Bas de ligne…</translation>
    </message>
    <message>
        <source>Its strand, spacing and droppers</source>
        <translation>Son fil, son écart et ses potences</translation>
    </message>
    <message>
        <source>Its numbers…</source>
        <translation>Ses nombres…</translation>
    </message>
    <message>
        <source>What your own copy of the school wants</source>
        <translation>Ce que veut votre propre copie de l&apos;école</translation>
    </message>
    <message>
        <source>Sheet…</source>
        <translation>Feuille…</translation>
    </message>
    <message>
        <source>The team with its leader and the day, on paper at true scale (PDF or SVG)</source>
        <translation>Le train avec son bas de ligne et le jour, sur papier à l&apos;échelle (PDF ou SVG)</translation>
    </message>
    <message>
        <source>Keep the team&apos;s sheet as</source>
        <translation>Garder la feuille du train sous</translation>
    </message>
    <message>
        <source>PDF (*.pdf);;SVG (*.svg)</source>
        <translation>PDF (*.pdf);;SVG (*.svg)</translation>
    </message>
    <message>
        <source>What it asks</source>
        <translation>Ce qu&apos;elle demande</translation>
    </message>
    <message>
        <source>Its place</source>
        <translation>Sa place</translation>
    </message>
    <message>
        <source>Room for five</source>
        <translation>Place pour cinq</translation>
    </message>
    <message>
        <source>Shows the places between bob, middle and point, for waters that allow four or five flies</source>
        <translation>Montre les places entre sauteuse, médiane et pointe, pour les eaux qui permettent quatre ou cinq mouches</translation>
    </message>
    <message>
        <source>Take off</source>
        <translation>Ôter</translation>
    </message>
    <message>
        <source>Takes the fly on the bench off the leader; the dressing stays in the book (Delete)</source>
        <translation>Ôte du bas de ligne la mouche de l&apos;établi&#xa0;; le modèle reste dans le livre (Suppr)</translation>
    </message>
    <message>
        <source>How the chosen fly is fished in its place</source>
        <translation>Comment la mouche choisie se pêche à sa place</translation>
    </message>
    <message>
        <source>Swing, drift, pull, hang; for a calm or a wave: a note of this team&apos;s own</source>
        <translation>Balayage, dérive, traction, suspension&#xa0;; pour un calme ou une vague&#xa0;: une note propre à ce train</translation>
    </message>
    <message>
        <source>The team&apos;s sheet is in %1</source>
        <translation>La feuille du train est dans %1</translation>
    </message>
    <message>
        <source>No sheet: %1 %2</source>
        <translation>Pas de feuille&#xa0;: %1 %2</translation>
    </message>
    <message>
        <source>how the %1 is fished here</source>
        <translation>comment la %1 se pêche ici</translation>
    </message>
    <message>
        <source>choose a fly of the team</source>
        <translation>choisissez une mouche du train</translation>
    </message>
    <message>
        <source>“%1” — an opinion, not a law.</source>
        <translation>«&#xa0;%1&#xa0;» — une opinion, pas une loi.</translation>
    </message>
    <message>
        <source>and %1 more: point at them</source>
        <translation>et %1 de plus&#xa0;: pointez-les</translation>
    </message>
    <message>
        <source>All of it passes. Point at a check, or walk to it with the arrows, to see it on the flies.</source>
        <translation>Tout passe. Pointez un contrôle, ou allez-y aux flèches, pour le voir sur les mouches.</translation>
    </message>
</context>
<context>
    <name>machair::app::BatchesPanel</name>
    <message>
        <source>Batches</source>
        <translation>Séries</translation>
    </message>
    <message>
        <source>Add of the bench&apos;s</source>
        <translation>Ajouter de l&apos;établi</translation>
    </message>
    <message>
        <source>So many of the dressing on the bench</source>
        <translation>Tant du modèle sur l&apos;établi</translation>
    </message>
    <message>
        <source>One is tied</source>
        <translation>Une est montée</translation>
    </message>
    <message>
        <source>One more of the chosen batch, into the box</source>
        <translation>Une de plus de la série choisie, dans la boîte</translation>
    </message>
    <message>
        <source>Choose a batch first</source>
        <translation>Choisissez d&apos;abord une série</translation>
    </message>
    <message>
        <source>, for %1</source>
        <translation>, pour %1</translation>
    </message>
    <message>
        <source>%1: %2 of %3%4</source>
        <translation>%1&#xa0;: %2 sur %3%4</translation>
    </message>
</context>
<context>
    <name>machair::app::BenchBar</name>
    <message>
        <source>Dressing</source>
        <translation>Modèle</translation>
    </message>
    <message>
        <source>The dressing on the bench; click a fly in the cast for one of the team (Alt+1, Alt+2, Alt+3)</source>
        <translation>Le modèle sur l&apos;établi&#xa0;; cliquez une mouche du lancer pour l&apos;un du train (Alt+1, Alt+2, Alt+3)</translation>
    </message>
    <message>
        <source>Dressing: new, copy, rename, compare</source>
        <translation>Modèle&#xa0;: nouveau, copier, renommer, comparer</translation>
    </message>
    <message>
        <source>Start a dressing from a kind, copy, rename or compare this one (Alt+D)</source>
        <translation>Commencer un modèle d&apos;une sorte, copier, renommer ou comparer celui-ci (Alt+D)</translation>
    </message>
    <message>
        <source>Across sizes</source>
        <translation>À travers les tailles</translation>
    </message>
    <message>
        <source>This dressing on sizes 8 to 16: what changes, and what no longer works small</source>
        <translation>Ce modèle sur les tailles 8 à 16&#xa0;: ce qui change, et ce qui ne marche plus en petit</translation>
    </message>
    <message>
        <source>Hook</source>
        <translation>Hameçon</translation>
    </message>
    <message>
        <source>Tie it on another hook of the book (Alt+H)</source>
        <translation>Le monter sur un autre hameçon du livre (Alt+H)</translation>
    </message>
    <message>
        <source>Hook size</source>
        <translation>Taille d&apos;hameçon</translation>
    </message>
    <message>
        <source>The same hook in another size (Alt+S); sizes that were not measured are nominal</source>
        <translation>Le même hameçon dans une autre taille (Alt+S)&#xa0;; les tailles non mesurées sont nominales</translation>
    </message>
    <message>
        <source>Hook wire</source>
        <translation>Fer de l&apos;hameçon</translation>
    </message>
    <message>
        <source>The same hook in another wire</source>
        <translation>Le même hameçon dans un autre fer</translation>
    </message>
    <message>
        <source>Name of the dressing</source>
        <translation>Nom du modèle</translation>
    </message>
    <message>
        <source>&amp;Dressing ▾</source>
        <translation>&amp;Modèle ▾</translation>
    </message>
    <message>
        <source>Si&amp;zes</source>
        <translation>&amp;Tailles</translation>
    </message>
    <message>
        <source>Start a dressing…</source>
        <translation>Commencer un modèle…</translation>
    </message>
    <message>
        <source>Start a dressing from its kind</source>
        <translation>Commencer un modèle d&apos;après sa sorte</translation>
    </message>
    <message>
        <source>A whole fly from its kind, sized to the hook, to be made yours</source>
        <translation>Une mouche entière de sa sorte, à la taille de l&apos;hameçon, à faire vôtre</translation>
    </message>
    <message>
        <source>Read a recipe…</source>
        <translation>Lire une recette…</translation>
    </message>
    <message>
        <source>Read a printed recipe</source>
        <translation>Lire une recette imprimée</translation>
    </message>
    <message>
        <source>A dressing from printed words, in whatever manner: what the clipboard holds, or typed; what is unsure is asked</source>
        <translation>Un modèle tiré de mots imprimés, de quelque manière&#xa0;: ce que tient le presse-papiers, ou tapé&#xa0;; ce qui est incertain est demandé</translation>
    </message>
    <message>
        <source>on</source>
        <translation>sur</translation>
    </message>
    <message>
        <source>&amp;Start from a kind</source>
        <translation>&amp;Commencer d&apos;une sorte</translation>
    </message>
    <message>
        <source>&amp;Copy this dressing</source>
        <translation>C&amp;opier ce modèle</translation>
    </message>
    <message>
        <source>&amp;Rename it</source>
        <translation>&amp;Renommer</translation>
    </message>
    <message>
        <source>&amp;Take it out of the book</source>
        <translation>Re&amp;tirer du livre</translation>
    </message>
    <message>
        <source>Compare &amp;with</source>
        <translation>Comparer &amp;avec</translation>
    </message>
    <message>
        <source>What could stand &amp;in for the open part</source>
        <translation>Ce qui pourrait tenir &amp;lieu de la partie ouverte</translation>
    </message>
    <message>
        <source>Read a &amp;recipe…</source>
        <translation>Lire une r&amp;ecette…</translation>
    </message>
    <message>
        <source>Put its recipe on the clip&amp;board</source>
        <translation>Mettre sa recette au &amp;presse-papiers</translation>
    </message>
    <message>
        <source>The recipe of %1 is on the clipboard</source>
        <translation>La recette de %1 est au presse-papiers</translation>
    </message>
    <message>
        <source>Keep its recipe as a &amp;file…</source>
        <translation>Garder sa recette en &amp;fichier…</translation>
    </message>
    <message>
        <source>%1, which it was varied from</source>
        <translation>%1, dont il fut varié</translation>
    </message>
    <message>
        <source>open a part in the ticket first</source>
        <translation>ouvrez d&apos;abord une partie dans la fiche</translation>
    </message>
    <message>
        <source>nothing in the drawers could stand in for it</source>
        <translation>rien dans les tiroirs ne pourrait en tenir lieu</translation>
    </message>
    <message>
        <source>next to no change</source>
        <translation>presque aucun changement</translation>
    </message>
    <message>
        <source> (rule of thumb)</source>
        <translation> (règle empirique)</translation>
    </message>
    <message>
        <source>Keep the recipe as</source>
        <translation>Garder la recette sous</translation>
    </message>
    <message>
        <source>Text (*.txt);;Markdown (*.md);;HTML (*.html)</source>
        <translation>Texte (*.txt);;Markdown (*.md);;HTML (*.html)</translation>
    </message>
    <message>
        <source>The recipe is in %1</source>
        <translation>La recette est dans %1</translation>
    </message>
    <message>
        <source>No recipe written: %1: %2</source>
        <translation>Aucune recette écrite&#xa0;: %1&#xa0;: %2</translation>
    </message>
    <message>
        <source>Which kind of fly?</source>
        <translation>Quelle sorte de mouche&#xa0;?</translation>
    </message>
    <message>
        <source>Which dressing?</source>
        <translation>Quel modèle&#xa0;?</translation>
    </message>
    <message>
        <source>Which hook?</source>
        <translation>Quel hameçon&#xa0;?</translation>
    </message>
    <message>
        <source>no dressing yet</source>
        <translation>pas encore de modèle</translation>
    </message>
    <message>
        <source>no such hook: choose one</source>
        <translation>pas de tel hameçon&#xa0;: choisissez-en un</translation>
    </message>
    <message>
        <source>shank</source>
        <translation>hampe</translation>
    </message>
    <message>
        <source>gape</source>
        <translation>ouverture</translation>
    </message>
    <message>
        <source>wire</source>
        <translation>fil</translation>
    </message>
    <message>
        <source>nominal</source>
        <translation>nominal</translation>
    </message>
    <message>
        <source>measured</source>
        <translation>mesuré</translation>
    </message>
    <message>
        <source>shank %1, gape %2, wire %3%4</source>
        <translation>hampe %1, ouverture %2, fer %3%4</translation>
    </message>
    <message>
        <source>: nominal, makers&apos; sizes don&apos;t agree</source>
        <translation>&#xa0;: nominal, les tailles des fabricants ne s&apos;accordent pas</translation>
    </message>
    <message>
        <source>; measured: %1</source>
        <translation>&#xa0;; mesuré&#xa0;: %1</translation>
    </message>
</context>
<context>
    <name>machair::app::BoxTray</name>
    <message>
        <source>The box: drag a fly to its place, or Enter hangs it where the chosen one is</source>
        <translation>La boîte&#xa0;: glissez une mouche à sa place, ou Entrée l&apos;accroche où est celle qui est choisie</translation>
    </message>
    <message>
        <source>Drag a fly to its place on the leader; Enter puts it where the chosen one hangs</source>
        <translation>Glissez une mouche à sa place sur le bas de ligne&#xa0;; Entrée la met où pend celle qui est choisie</translation>
    </message>
</context>
<context>
    <name>machair::app::BudgetView</name>
    <message>
        <source>The shank budget</source>
        <translation>Le budget de la hampe</translation>
    </message>
    <message>
        <source> · </source>
        <translation> · </translation>
    </message>
    <message>
        <source>Shank, eye to bend</source>
        <translation>Hampe, de l&apos;œillet à la courbure</translation>
    </message>
    <message>
        <source>point</source>
        <translation>pointe</translation>
    </message>
    <message>
        <source>barb</source>
        <translation>ardillon</translation>
    </message>
    <message>
        <source>eye</source>
        <translation>œillet</translation>
    </message>
    <message>
        <source>%1 · bend</source>
        <translation>%1 · courbure</translation>
    </message>
    <message>
        <source>%1: %2, from %3 to %4 behind the eye</source>
        <translation>%1&#xa0;: %2, de %3 à %4 derrière l&apos;œillet</translation>
    </message>
    <message>
        <source>%1 mm</source>
        <translation>%1 mm</translation>
    </message>
</context>
<context>
    <name>machair::app::CastView</name>
    <message>
        <source>no team yet</source>
        <translation>pas encore de train</translation>
    </message>
    <message>
        <source>%1: another team (it hangs on the cast)</source>
        <translation>%1&#xa0;: un autre train (il pend au lancer)</translation>
    </message>
    <message>
        <source>&amp;New team with the fly on the bench</source>
        <translation>&amp;Nouveau train avec la mouche de l&apos;établi</translation>
    </message>
    <message>
        <source>&amp;Copy it</source>
        <translation>&amp;Copier</translation>
    </message>
    <message>
        <source>&amp;Rename it</source>
        <translation>&amp;Renommer</translation>
    </message>
    <message>
        <source>&amp;Take it out of the book</source>
        <translation>Re&amp;tirer du livre</translation>
    </message>
    <message>
        <source>Which team?</source>
        <translation>Quel train&#xa0;?</translation>
    </message>
    <message>
        <source>New team</source>
        <translation>Nouveau train</translation>
    </message>
    <message>
        <source>Which fly on the %1?</source>
        <translation>Quelle mouche à la %1&#xa0;?</translation>
    </message>
    <message>
        <source>None there</source>
        <translation>Aucune là</translation>
    </message>
    <message>
        <source>The cast: the team on its leader</source>
        <translation>Le lancer&#xa0;: le train sur son bas de ligne</translation>
    </message>
    <message>
        <source>Team</source>
        <translation>Train</translation>
    </message>
    <message>
        <source>Which team hangs on the cast</source>
        <translation>Quel train pend au lancer</translation>
    </message>
    <message>
        <source>Name of the team</source>
        <translation>Nom du train</translation>
    </message>
    <message>
        <source>Team: new, copy, rename, take out</source>
        <translation>Train&#xa0;: nouveau, copier, renommer, retirer</translation>
    </message>
    <message>
        <source>▾</source>
        <translation>▾</translation>
    </message>
    <message>
        <source>Begin another team, name, copy or take out this one</source>
        <translation>Commencer un autre train, nommer, copier ou retirer celui-ci</translation>
    </message>
    <message>
        <source>Begin a team with the fly on the bench</source>
        <translation>Commencer un train avec la mouche de l&apos;établi</translation>
    </message>
    <message>
        <source>no team</source>
        <translation>pas de train</translation>
    </message>
    <message>
        <source>None of its flies can be planned: open one and see why.</source>
        <translation>Aucune de ses mouches ne se laisse planifier&#xa0;: ouvrez-en une pour voir pourquoi.</translation>
    </message>
    <message>
        <source>A team is one to five flies on a leader, weighed against each other and the day.</source>
        <translation>Un train est d&apos;une à cinq mouches sur un bas de ligne, pesées l&apos;une contre l&apos;autre et contre le jour.</translation>
    </message>
    <message>
        <source>one fly: nothing to compare</source>
        <translation>une mouche&#xa0;: rien à comparer</translation>
    </message>
    <message>
        <source>every check of its school passes</source>
        <translation>chaque contrôle de son école passe</translation>
    </message>
    <message>
        <source>✓ within the water&apos;s rules</source>
        <translation>✓ dans les règles de l&apos;eau</translation>
    </message>
    <message>
        <source>✗ against the water&apos;s rules</source>
        <translation>✗ contre les règles de l&apos;eau</translation>
    </message>
    <message>
        <source>
Physics on stated shapes, not checked against measured flies: trust the ratios. The wanted steps are our rule of thumb.</source>
        <translation>
Physique sur des formes données, non vérifiée sur des mouches mesurées&#xa0;: fiez-vous aux rapports. Les pas voulus sont notre règle empirique.</translation>
    </message>
    <message>
        <source>floats</source>
        <translation>flotte</translation>
    </message>
    <message>
        <source>sinks %1 cm/s</source>
        <translation>coule à %1 cm/s</translation>
    </message>
    <message>
        <source>%1, %2</source>
        <translation>%1, %2</translation>
    </message>
    <message>
        <source>no fly hangs here</source>
        <translation>aucune mouche ne pend ici</translation>
    </message>
    <message>
        <source>%1: sink rate give or take a quarter, pushes %2 mN of water, %3 mg wet</source>
        <translation>%1&#xa0;: vitesse de chute à un quart près, pousse %2 mN d&apos;eau, %3 mg mouillée</translation>
    </message>
    <message>
        <source>Your team hangs here: start a dressing, then begin a team with it</source>
        <translation>Votre train pend ici&#xa0;: commencez un modèle, puis un train avec lui</translation>
    </message>
    <message>
        <source>%1
+ hang a fly</source>
        <translation>%1
+ accrocher une mouche</translation>
    </message>
</context>
<context>
    <name>machair::app::CheckStation</name>
    <message>
        <source>A reading, typed</source>
        <translation>Une mesure, tapée</translation>
    </message>
    <message>
        <source>type a reading, Enter</source>
        <translation>tapez une mesure, Entrée</translation>
    </message>
    <message>
        <source>Back</source>
        <translation>Retour</translation>
    </message>
    <message>
        <source>The part before, to measure it again</source>
        <translation>La partie d&apos;avant, pour la mesurer encore</translation>
    </message>
    <message>
        <source>Skip</source>
        <translation>Sauter</translation>
    </message>
    <message>
        <source>This part is not measured on this fly</source>
        <translation>Cette partie ne se mesure pas sur cette mouche</translation>
    </message>
    <message>
        <source>Calliper</source>
        <translation>Pied à coulisse</translation>
    </message>
    <message>
        <source>Part after part, judged at once</source>
        <translation>Partie après partie, jugée aussitôt</translation>
    </message>
    <message>
        <source>Photo</source>
        <translation>Photo</translation>
    </message>
    <message>
        <source>The plan laid over a photograph</source>
        <translation>Le plan posé sur une photographie</translation>
    </message>
    <message>
        <source>Hand</source>
        <translation>Main</translation>
    </message>
    <message>
        <source>What your hand always does</source>
        <translation>Ce que fait toujours votre main</translation>
    </message>
    <message>
        <source>Eye</source>
        <translation>Œil</translation>
    </message>
    <message>
        <source>Train the eye on drawn flies</source>
        <translation>Exercer l&apos;œil sur des mouches dessinées</translation>
    </message>
    <message>
        <source>Pairs</source>
        <translation>Paires</translation>
    </message>
    <message>
        <source>Which two of a heap belong together</source>
        <translation>Lesquelles d&apos;un tas vont ensemble</translation>
    </message>
    <message>
        <source>Open a photograph…</source>
        <translation>Ouvrir une photographie…</translation>
    </message>
    <message>
        <source>A picture of the fly in the vice, from the side, on a plain card</source>
        <translation>Une image de la mouche dans l&apos;étau, de côté, sur une carte unie</translation>
    </message>
    <message>
        <source>Aloud</source>
        <translation>À voix haute</translation>
    </message>
    <message>
        <source>Says each verdict, where this computer has a voice</source>
        <translation>Dit chaque verdict, là où cet ordinateur a une voix</translation>
    </message>
    <message>
        <source>Measured</source>
        <translation>Mesuré</translation>
    </message>
    <message>
        <source>What is measured</source>
        <translation>Ce qui est mesuré</translation>
    </message>
    <message>
        <source>The look: tick what is not right</source>
        <translation>L&apos;aspect&#xa0;: cochez ce qui ne va pas</translation>
    </message>
    <message>
        <source>The look</source>
        <translation>L&apos;aspect</translation>
    </message>
    <message>
        <source>Mend: %1.</source>
        <translation>Remède&#xa0;: %1.</translation>
    </message>
    <message>
        <source>Keep this fly&apos;s check</source>
        <translation>Garder le contrôle de cette mouche</translation>
    </message>
    <message>
        <source>Into the book; the next fly of the dozen is asked for (Ctrl+Return)</source>
        <translation>Dans le livre&#xa0;; la mouche suivante de la douzaine est demandée (Ctrl+Entrée)</translation>
    </message>
    <message>
        <source>Laid over by your marks: %1 px a mm, a length of the shank to ± %2 mm</source>
        <translation>Posé d&apos;après vos marques&#xa0;: %1 px par mm, une longueur de hampe à ± %2 mm</translation>
    </message>
    <message>
        <source>All of this fly is measured: keep it, or choose a part to measure again</source>
        <translation>Tout de cette mouche est mesuré&#xa0;: gardez-le, ou choisissez une partie à mesurer encore</translation>
    </message>
    <message>
        <source>%1 mm</source>
        <translation>%1 mm</translation>
    </message>
    <message>
        <source>%1: planned %2 ± %3 mm</source>
        <translation>%1&#xa0;: prévu %2 ± %3 mm</translation>
    </message>
    <message>
        <source>; aim for %1 mm</source>
        <translation>&#xa0;; visez %1 mm</translation>
    </message>
    <message>
        <source>Keep: %1 of %2 as planned</source>
        <translation>Garder&#xa0;: %1 sur %2 comme prévu</translation>
    </message>
    <message>
        <source>Measure the %1</source>
        <translation>Mesurez&#xa0;: %1</translation>
    </message>
    <message>
        <source>%1 ± %2 mm</source>
        <translation>%1 ± %2 mm</translation>
    </message>
    <message>
        <source>planned</source>
        <translation>prévu</translation>
    </message>
    <message>
        <source>Nothing of this fly is measured</source>
        <translation>Rien de cette mouche n&apos;est mesuré</translation>
    </message>
    <message>
        <source>All is measured: %1 of %2 as planned</source>
        <translation>Tout est mesuré&#xa0;: %1 sur %2 comme prévu</translation>
    </message>
    <message>
        <source>✓ The calliper is ready.</source>
        <translation>✓ Le pied à coulisse est prêt.</translation>
    </message>
    <message>
        <source>No calliper: start machair-calliper, or type the reading.</source>
        <translation>Pas de pied à coulisse&#xa0;: lancez machair-calliper, ou tapez la mesure.</translation>
    </message>
    <message>
        <source>✓ The camera is ready.</source>
        <translation>✓ L&apos;appareil est prêt.</translation>
    </message>
    <message>
        <source>No camera: start machair-camera, or open a picture.</source>
        <translation>Pas d&apos;appareil&#xa0;: lancez machair-camera, ou ouvrez une image.</translation>
    </message>
    <message>
        <source>Kept. The next fly.</source>
        <translation>Gardé. La mouche suivante.</translation>
    </message>
    <message>
        <source>A photograph of the fly</source>
        <translation>Une photographie de la mouche</translation>
    </message>
    <message>
        <source>Looking for the hook…</source>
        <translation>On cherche l&apos;hameçon…</translation>
    </message>
    <message>
        <source>Nothing was changed.</source>
        <translation>Rien n&apos;a été changé.</translation>
    </message>
</context>
<context>
    <name>machair::app::ChoicePanel</name>
    <message>
        <source>Choose from the box</source>
        <translation>Choisir dans la boîte</translation>
    </message>
    <message>
        <source>A fly that has to be on the team</source>
        <translation>Une mouche qui doit être du train</translation>
    </message>
    <message>
        <source>Why not my favourite: the best teams that have it</source>
        <translation>Pourquoi pas ma préférée&#xa0;: les meilleurs trains qui l&apos;ont</translation>
    </message>
    <message>
        <source>Choose</source>
        <translation>Choisir</translation>
    </message>
    <message>
        <source>The best ordered three of the box for this wave, school and card; exact (F6)</source>
        <translation>Les trois meilleures de la boîte, dans leur ordre, pour cette vague, cette école et cette carte&#xa0;; exact (F6)</translation>
    </message>
    <message>
        <source>For the whole team or one place</source>
        <translation>Pour tout le train ou une place</translation>
    </message>
    <message>
        <source>for the whole team</source>
        <translation>pour tout le train</translation>
    </message>
    <message>
        <source>for the %1</source>
        <translation>pour la %1</translation>
    </message>
    <message>
        <source>and my daybook</source>
        <translation>et mon carnet</translation>
    </message>
    <message>
        <source>Flies that did better than others in their place on the same days count for more, and the wave&apos;s wants are moved by what caught</source>
        <translation>Les mouches qui ont mieux fait que d&apos;autres à leur place les mêmes jours comptent davantage, et ce que veut la vague suit ce qui a pris</translation>
    </message>
    <message>
        <source>Teams, best first</source>
        <translation>Trains, le meilleur d&apos;abord</translation>
    </message>
    <message>
        <source>Enter or a double click makes it a team of the book</source>
        <translation>Entrée ou un double clic en fait un train du livre</translation>
    </message>
    <message>
        <source>Stop</source>
        <translation>Arrêter</translation>
    </message>
    <message>
        <source>any fly</source>
        <translation>toute mouche</translation>
    </message>
    <message>
        <source>No team of three can be made up from the box under these rules.</source>
        <translation>Aucun train de trois ne se compose de la boîte sous ces règles.</translation>
    </message>
    <message>
        <source>Of %1 orders of three, %2 had to be looked at. A rule of thumb.</source>
        <translation>De %1 ordres de trois, %2 ont dû être regardés. Une règle empirique.</translation>
    </message>
    <message>
        <source>Why not: %1</source>
        <translation>Pourquoi pas&#xa0;: %1</translation>
    </message>
    <message>
        <source>It costs: %1</source>
        <translation>Cela coûte&#xa0;: %1</translation>
    </message>
    <message>
        <source>
Left out: %1: %2</source>
        <translation>
Laissée&#xa0;: %1&#xa0;: %2</translation>
    </message>
    <message>
        <source>%1.  %2 · %3 · %4
      %5 %6 of 100</source>
        <translation>%1.  %2 · %3 · %4
      %5 %6 sur 100</translation>
    </message>
    <message>
        <source>or on the %1 %2</source>
        <translation>ou à la %1 %2</translation>
    </message>
    <message>
        <source>%1.  %2 %3 of 100</source>
        <translation>%1.  %2 %3 sur 100</translation>
    </message>
    <message>
        <source>Beside the flies that hang there. Enter puts one in its place.</source>
        <translation>À côté des mouches qui y pendent. Entrée en met une à sa place.</translation>
    </message>
    <message>
        <source>%1  %2</source>
        <translation>%1  %2</translation>
    </message>
    <message>
        <source>kept out: %1</source>
        <translation>écartée&#xa0;: %1</translation>
    </message>
</context>
<context>
    <name>machair::app::Chooser</name>
    <message>
        <source>%1 Type a few letters</source>
        <translation>%1 Tapez quelques lettres</translation>
    </message>
</context>
<context>
    <name>machair::app::CutStation</name>
    <message>
        <source>They are tied</source>
        <translation>Elles sont montées</translation>
    </message>
    <message>
        <source>Takes the slips and hackles out of stock and puts the flies into the box; Ctrl+Z gives them back</source>
        <translation>Prend segments et hackles dans la réserve et met les mouches dans la boîte&#xa0;; Ctrl+Z les rend</translation>
    </message>
    <message>
        <source>Lay out for</source>
        <translation>Étaler pour</translation>
    </message>
    <message>
        <source>this fly</source>
        <translation>cette mouche</translation>
    </message>
    <message>
        <source>all that waits</source>
        <translation>tout ce qui attend</translation>
    </message>
    <message>
        <source>The fly on the bench, or every batch of the Evening that isn&apos;t tied yet, cut from the same feathers</source>
        <translation>La mouche de l&apos;établi, ou chaque série de la Soirée qui n&apos;est pas encore montée, coupée dans les mêmes plumes</translation>
    </message>
    <message>
        <source>How many flies</source>
        <translation>Combien de mouches</translation>
    </message>
    <message>
        <source> flies</source>
        <translation> mouches</translation>
    </message>
    <message>
        <source>Table</source>
        <translation>Table</translation>
    </message>
    <message>
        <source>Everything laid out at one scale, in tying order</source>
        <translation>Tout étalé à une même échelle, dans l&apos;ordre du montage</translation>
    </message>
    <message>
        <source>Feathers</source>
        <translation>Plumes</translation>
    </message>
    <message>
        <source>The feathers to scale, and the slips laid on them</source>
        <translation>Les plumes à l&apos;échelle, et les segments posés dessus</translation>
    </message>
    <message>
        <source>noodle or loop</source>
        <translation>boudin ou boucle</translation>
    </message>
    <message>
        <source>The noodle or loop as it was made</source>
        <translation>Le boudin ou la boucle tels qu&apos;ils furent faits</translation>
    </message>
    <message>
        <source>How long it was made; leave it where it was made as reckoned</source>
        <translation>Quelle longueur il fut fait&#xa0;; laissez là où il fut fait comme calculé</translation>
    </message>
    <message>
        <source>made as reckoned</source>
        <translation>fait comme calculé</translation>
    </message>
    <message>
        <source>made </source>
        <translation>fait </translation>
    </message>
    <message>
        <source>left</source>
        <translation>reste</translation>
    </message>
    <message>
        <source>Left over of the noodle or loop</source>
        <translation>Reste du boudin ou de la boucle</translation>
    </message>
    <message>
        <source>What was left over teaches the next one of that fur; enter it after tying</source>
        <translation>Ce qui restait apprend au suivant de cette fourrure&#xa0;; entrez-le après le montage</translation>
    </message>
    <message>
        <source>Learn</source>
        <translation>Apprendre</translation>
    </message>
    <message>
        <source>The next noodle or loop of this fur is made by the longest of the last three that were wound so on this size of hook</source>
        <translation>Le prochain boudin ou la prochaine boucle de cette fourrure se fait d&apos;après le plus long des trois derniers enroulés ainsi sur cette taille d&apos;hameçon</translation>
    </message>
    <message>
        <source>Card…</source>
        <translation>Carte…</translation>
    </message>
    <message>
        <source>A true-scale card of this fly as PDF or SVG, with a bar to prove the printer</source>
        <translation>Une carte à l&apos;échelle de cette mouche en PDF ou SVG, avec un trait pour éprouver l&apos;imprimante</translation>
    </message>
    <message>
        <source>Print</source>
        <translation>Imprimer</translation>
    </message>
    <message>
        <source>The card on paper</source>
        <translation>La carte sur papier</translation>
    </message>
    <message>
        <source>Calibrate</source>
        <translation>Étalonner</translation>
    </message>
    <message>
        <source>Make the gauge true on this screen: lay a bank card on it</source>
        <translation>Rendre la jauge vraie sur cet écran&#xa0;: posez-y une carte bancaire</translation>
    </message>
    <message>
        <source>Cut as halves, to be married</source>
        <translation>Couper en moitiés, à marier</translation>
    </message>
    <message>
        <source>What can&apos;t come out whole is cut as two narrower slips that are married: one cut and one joint more for each</source>
        <translation>Ce qui ne peut sortir entier se coupe en deux segments plus étroits que l&apos;on marie&#xa0;: une coupe et un joint de plus chacun</translation>
    </message>
    <message>
        <source>proven best</source>
        <translation>prouvé meilleur</translation>
    </message>
    <message>
        <source>at least %1 are needed, not proven best</source>
        <translation>il en faut au moins %1, pas prouvé meilleur</translation>
    </message>
    <message>
        <source>no fewer would do; at best %1 less is left on them</source>
        <translation>moins n&apos;irait pas&#xa0;; au mieux il y reste %1 de moins</translation>
    </message>
    <message>
        <source>✓ All of it is laid out.</source>
        <translation>✓ Tout est étalé.</translation>
    </message>
    <message>
        <source>%1 of %2 laid out; Space ticks the next.</source>
        <translation>%1 sur %2 étalés&#xa0;; Espace coche le suivant.</translation>
    </message>
    <message>
        <source>%1, band %2 to %3</source>
        <translation>%1, bande %2 à %3</translation>
    </message>
    <message>
        <source>: </source>
        <translation>&#xa0;: </translation>
    </message>
    <message>
        <source>✗ no feather of the cape is left for it</source>
        <translation>✗ il n&apos;y reste aucune plume du cou pour cela</translation>
    </message>
    <message>
        <source>no cape of it is counted</source>
        <translation>aucun cou n&apos;en est compté</translation>
    </message>
    <message>
        <source>Nothing waits to be tied.</source>
        <translation>Rien n&apos;attend d&apos;être monté.</translation>
    </message>
    <message>
        <source>%1 flies of %2 dressings.</source>
        <translation>%1 mouches de %2 modèles.</translation>
    </message>
    <message>
        <source>No slip could be cut.</source>
        <translation>Aucun segment n&apos;a pu être coupé.</translation>
    </message>
    <message>
        <source>Slips from %1 %2, %3 of vane left on them: %4.</source>
        <translation>Segments de %1 %2, il y reste %3 de vexille&#xa0;: %4.</translation>
    </message>
    <message>
        <source>feather</source>
        <translation>plume</translation>
    </message>
    <message>
        <source>feathers</source>
        <translation>plumes</translation>
    </message>
    <message>
        <source>Nothing of this fly is dubbed</source>
        <translation>Rien de cette mouche n&apos;est dubbé</translation>
    </message>
    <message>
        <source>Keep the card as</source>
        <translation>Garder la carte sous</translation>
    </message>
    <message>
        <source>PDF (*.pdf);;SVG (*.svg)</source>
        <translation>PDF (*.pdf);;SVG (*.svg)</translation>
    </message>
    <message>
        <source>The card is in %1</source>
        <translation>La carte est dans %1</translation>
    </message>
    <message>
        <source>No card: %1 %2</source>
        <translation>Pas de carte&#xa0;: %1 %2</translation>
    </message>
    <message>
        <source>No printer is set up on this computer; the card can be kept as a PDF instead</source>
        <translation>Aucune imprimante n&apos;est installée sur cet ordinateur&#xa0;; la carte peut se garder en PDF</translation>
    </message>
    <message>
        <source>The printer refused; nothing was printed</source>
        <translation>L&apos;imprimante a refusé&#xa0;; rien n&apos;a été imprimé</translation>
    </message>
    <message>
        <source>The card went to %1; prove it by its 50 mm bar</source>
        <translation>La carte est partie à %1&#xa0;; éprouvez-la par son trait de 50 mm</translation>
    </message>
    <message>
        <source>Not cut: %1</source>
        <translation>Pas coupé&#xa0;: %1</translation>
    </message>
    <message>
        <source>and %1 more like these.</source>
        <translation>et %1 autres comme ceux-ci.</translation>
    </message>
</context>
<context>
    <name>machair::app::DayPage</name>
    <message>
        <source>The day: outings as bars, fish as marks</source>
        <translation>Le jour&#xa0;: sorties en barres, poissons en marques</translation>
    </message>
    <message>
        <source>a fish to the %1</source>
        <translation>un poisson à la %1</translation>
    </message>
    <message>
        <source>an outing</source>
        <translation>une sortie</translation>
    </message>
    <message>
        <source>wind %1 m/s</source>
        <translation>vent %1 m/s</translation>
    </message>
    <message>
        <source>wave %1 cm</source>
        <translation>vague %1 cm</translation>
    </message>
    <message>
        <source>%1 water</source>
        <translation>eau %1</translation>
    </message>
    <message>
        <source>%1 °C</source>
        <translation>%1 °C</translation>
    </message>
    <message>
        <source>drift %1 m/s on the drogue</source>
        <translation>dérive %1 m/s à l&apos;ancre flottante</translation>
    </message>
    <message>
        <source>drift %1 m/s</source>
        <translation>dérive %1 m/s</translation>
    </message>
    <message>
        <source>%1 m</source>
        <translation>%1 m</translation>
    </message>
    <message>
        <source>Choose a day above, or begin one</source>
        <translation>Choisissez un jour ci-dessus, ou commencez-en un</translation>
    </message>
    <message>
        <source>filled: kept</source>
        <translation>plein&#xa0;: gardé</translation>
    </message>
</context>
<context>
    <name>machair::app::DayPanel</name>
    <message>
        <source>Water</source>
        <translation>Eau</translation>
    </message>
    <message>
        <source>+</source>
        <translation>+</translation>
    </message>
    <message>
        <source>Another water</source>
        <translation>Une autre eau</translation>
    </message>
    <message>
        <source>the water&apos;s warmth</source>
        <translation>la chaleur de l&apos;eau</translation>
    </message>
    <message>
        <source>°C</source>
        <translation>°C</translation>
    </message>
    <message>
        <source>how deep it is there</source>
        <translation>quelle profondeur il y a</translation>
    </message>
    <message>
        <source>m</source>
        <translation>m</translation>
    </message>
    <message>
        <source>Weather station: look again</source>
        <translation>Station météo&#xa0;: regarder encore</translation>
    </message>
    <message>
        <source>Fills wind, direction, temperature and light from a weather station; the stand-in is machair-weather</source>
        <translation>Remplit vent, direction, température et lumière d&apos;une station météo&#xa0;; la doublure est machair-weather</translation>
    </message>
    <message>
        <source>or by force</source>
        <translation>ou par force</translation>
    </message>
    <message>
        <source>Wind by Beaufort&apos;s force</source>
        <translation>Vent par force Beaufort</translation>
    </message>
    <message>
        <source>%1  %2</source>
        <translation>%1  %2</translation>
    </message>
    <message>
        <source>Draw the shore</source>
        <translation>Tracer la rive</translation>
    </message>
    <message>
        <source>Click corner after corner on the map, twice at the last</source>
        <translation>Cliquez sommet après sommet sur la carte, deux fois au dernier</translation>
    </message>
    <message>
        <source>GeoJSON…</source>
        <translation>GeoJSON…</translation>
    </message>
    <message>
        <source>The shore from a file</source>
        <translation>La rive d&apos;un fichier</translation>
    </message>
    <message>
        <source>Name, numbers, shore</source>
        <translation>Nom, nombres, rive</translation>
    </message>
    <message>
        <source>The loch&apos;s shore</source>
        <translation>La rive du loch</translation>
    </message>
    <message>
        <source>GeoJSON (*.geojson *.json);;All files (*)</source>
        <translation>GeoJSON (*.geojson *.json);;Tous les fichiers (*)</translation>
    </message>
    <message>
        <source>About in this month</source>
        <translation>Là ce mois</translation>
    </message>
    <message>
        <source>Another creature in the season&apos;s table</source>
        <translation>Une autre bestiole dans le tableau de la saison</translation>
    </message>
    <message>
        <source>What is about in this month</source>
        <translation>Ce qui est là ce mois</translation>
    </message>
    <message>
        <source>A click opens the row to edit it</source>
        <translation>Un clic ouvre la ligne pour la changer</translation>
    </message>
    <message>
        <source>Wind, direction, temperature and light from the weather station, %1 s old</source>
        <translation>Vent, direction, température et lumière de la station météo, vieux de %1 s</translation>
    </message>
    <message>
        <source>Take: wind %1 m/s from %2°</source>
        <translation>Prendre&#xa0;: vent %1 m/s de %2°</translation>
    </message>
    <message>
        <source>+ makes a water: its wind and fetch give the wave, the wave says how full to dress.</source>
        <translation>+ fait une eau&#xa0;: son vent et son fetch donnent la vague, la vague dit combien fournir.</translation>
    </message>
    <message>
        <source>%1 m/s</source>
        <translation>%1 m/s</translation>
    </message>
    <message>
        <source>fetch %1 m</source>
        <translation>fetch %1 m</translation>
    </message>
</context>
<context>
    <name>machair::app::DayPicker</name>
    <message>
        <source>Light, colour of the water, the boat and the month</source>
        <translation>Lumière, couleur de l&apos;eau, le bateau et le mois</translation>
    </message>
    <message>
        <source>%1 water</source>
        <translation>eau %1</translation>
    </message>
    <message>
        <source>a drogue out</source>
        <translation>l&apos;ancre flottante dehors</translation>
    </message>
    <message>
        <source>as your own boat drifts</source>
        <translation>comme dérive votre propre bateau</translation>
    </message>
    <message>
        <source>, </source>
        <translation>, </translation>
    </message>
    <message>
        <source>%1 about</source>
        <translation>%1 là</translation>
    </message>
    <message>
        <source>%1: %2 of your season&apos;s table about</source>
        <translation>%1&#xa0;: %2 de votre tableau de la saison là</translation>
    </message>
</context>
<context>
    <name>machair::app::DaybookStation</name>
    <message>
        <source>Date of the day</source>
        <translation>Date du jour</translation>
    </message>
    <message>
        <source>New day</source>
        <translation>Nouveau jour</translation>
    </message>
    <message>
        <source>Days, the latest first</source>
        <translation>Jours, le dernier d&apos;abord</translation>
    </message>
    <message>
        <source> h</source>
        <translation> h</translation>
    </message>
    <message>
        <source>The cast&apos;s team fished so long</source>
        <translation>Le train du lancer a pêché aussi longtemps</translation>
    </message>
    <message>
        <source>it took at</source>
        <translation>il a pris à</translation>
    </message>
    <message>
        <source>Depth that the fish took at</source>
        <translation>Profondeur où le poisson a pris</translation>
    </message>
    <message>
        <source> m</source>
        <translation> m</translation>
    </message>
    <message>
        <source>not known</source>
        <translation>inconnue</translation>
    </message>
    <message>
        <source>Choose a day first, and hang a team on the cast</source>
        <translation>Choisissez d&apos;abord un jour, et accrochez un train au lancer</translation>
    </message>
    <message>
        <source>A note of the day</source>
        <translation>Une note du jour</translation>
    </message>
    <message>
        <source>a note of the day</source>
        <translation>une note du jour</translation>
    </message>
    <message>
        <source>What it was like…</source>
        <translation>Comment c&apos;était…</translation>
    </message>
    <message>
        <source>The day&apos;s wave, wind, light and water, as they were: taken from the water when the day was begun, corrected here</source>
        <translation>La vague, le vent, la lumière et l&apos;eau du jour, tels qu&apos;ils étaient&#xa0;: pris de l&apos;eau au début du jour, corrigés ici</translation>
    </message>
    <message>
        <source>Photograph…</source>
        <translation>Photographie…</translation>
    </message>
    <message>
        <source>A picture of the day; the file stays where it is</source>
        <translation>Une image du jour&#xa0;; le fichier reste où il est</translation>
    </message>
    <message>
        <source>Take the day out</source>
        <translation>Retirer le jour</translation>
    </message>
    <message>
        <source>The chosen day, with its outings and fish; undo brings it back</source>
        <translation>Le jour choisi, avec ses sorties et poissons&#xa0;; annuler le rend</translation>
    </message>
    <message>
        <source>Import…</source>
        <translation>Importer…</translation>
    </message>
    <message>
        <source>Days from a table (CSV): you say which column is which</source>
        <translation>Des jours d&apos;un tableau (CSV)&#xa0;: vous dites quelle colonne est laquelle</translation>
    </message>
    <message>
        <source>Export…</source>
        <translation>Exporter…</translation>
    </message>
    <message>
        <source>All days and catches as CSV; the whole book as JSON is under Book, Keep a copy</source>
        <translation>Tous les jours et prises en CSV&#xa0;; le livre entier en JSON est sous Livre, Garder une copie</translation>
    </message>
    <message>
        <source>%1   %2 h, %3 fish</source>
        <translation>%1   %2 h, %3 poissons</translation>
    </message>
    <message>
        <source>Choose a day first</source>
        <translation>Choisissez d&apos;abord un jour</translation>
    </message>
    <message>
        <source>A picture of the day</source>
        <translation>Une image du jour</translation>
    </message>
    <message>
        <source>A table of days</source>
        <translation>Un tableau de jours</translation>
    </message>
    <message>
        <source>CSV (*.csv);;All files (*)</source>
        <translation>CSV (*.csv);;Tous les fichiers (*)</translation>
    </message>
    <message>
        <source>Keep the days as</source>
        <translation>Garder les jours sous</translation>
    </message>
    <message>
        <source>CSV (*.csv)</source>
        <translation>CSV (*.csv)</translation>
    </message>
    <message>
        <source>Start a day; then a fish is three keys: B, M or P, then K, R or L, then Enter.</source>
        <translation>Commencez un jour&#xa0;; alors un poisson est trois touches&#xa0;: B, M ou P, puis K, R ou L, puis Entrée.</translation>
    </message>
    <message>
        <source>%1: </source>
        <translation>%1&#xa0;: </translation>
    </message>
    <message>
        <source>B, U, M, W (lower) or P for where it took</source>
        <translation>B, U, M, W (basse) ou P pour où il a pris</translation>
    </message>
    <message>
        <source>B, M or P for where it took</source>
        <translation>B, M ou P pour où il a pris</translation>
    </message>
    <message>
        <source>%1 on the %2</source>
        <translation>%1 à la %2</translation>
    </message>
    <message>
        <source>no fly on the %1</source>
        <translation>aucune mouche à la %1</translation>
    </message>
    <message>
        <source>: K kept, R returned or L lost</source>
        <translation>&#xa0;: K gardé, R relâché ou L perdu</translation>
    </message>
    <message>
        <source>, kept: Enter</source>
        <translation>, gardé&#xa0;: Entrée</translation>
    </message>
    <message>
        <source>, returned: Enter</source>
        <translation>, relâché&#xa0;: Entrée</translation>
    </message>
    <message>
        <source>, lost: Enter</source>
        <translation>, perdu&#xa0;: Entrée</translation>
    </message>
</context>
<context>
    <name>machair::app::DaysIn</name>
    <message>
        <source>Which column is which</source>
        <translation>Quelle colonne est laquelle</translation>
    </message>
    <message>
        <source>Take in</source>
        <translation>Reprendre</translation>
    </message>
    <message>
        <source>All rows, or none where one can&apos;t be read; Ctrl+Z gives the book back</source>
        <translation>Toutes les lignes, ou aucune si l&apos;une ne se lit pas&#xa0;; Ctrl+Z rend le livre</translation>
    </message>
    <message>
        <source>Leave</source>
        <translation>Laisser</translation>
    </message>
    <message>
        <source>Nothing is imported</source>
        <translation>Rien n&apos;est importé</translation>
    </message>
    <message>
        <source>No table of days: %1</source>
        <translation>Pas de tableau de jours&#xa0;: %1</translation>
    </message>
    <message>
        <source>leave out</source>
        <translation>laisser</translation>
    </message>
    <message>
        <source>A row with hours is an outing, one with a fly and a position a fish.</source>
        <translation>Une ligne avec des heures est une sortie, une avec une mouche et une place un poisson.</translation>
    </message>
    <message>
        <source>and %1 more. Nothing was taken in.</source>
        <translation>et %1 de plus. Rien n&apos;a été repris.</translation>
    </message>
    <message>
        <source>Read as %1</source>
        <translation>Lu comme %1</translation>
    </message>
</context>
<context>
    <name>machair::app::Document</name>
    <message>
        <source>Not done: %1</source>
        <translation>Pas fait&#xa0;: %1</translation>
    </message>
    <message>
        <source>Changed in another window or program: read again</source>
        <translation>Changé dans une autre fenêtre ou un autre programme&#xa0;: relu</translation>
    </message>
    <message>
        <source>what could not be kept before</source>
        <translation>ce qui n&apos;avait pu être gardé</translation>
    </message>
    <message>
        <source>%1 is on the bench: every size is a share of its hook</source>
        <translation>%1 est sur l&apos;établi&#xa0;: chaque taille est une part de son hameçon</translation>
    </message>
    <message>
        <source>Left as it was</source>
        <translation>Laissé comme c&apos;était</translation>
    </message>
    <message>
        <source>Somebody else changed that at the same moment: read again. Do it once more</source>
        <translation>Quelqu&apos;un d&apos;autre a changé cela au même instant&#xa0;: relu. Refaites-le une fois</translation>
    </message>
</context>
<context>
    <name>machair::app::Doors</name>
    <message>
        <source>Back to the open book</source>
        <translation>Retour au livre ouvert</translation>
    </message>
    <message>
        <source>Esc</source>
        <translation>Échap</translation>
    </message>
    <message>
        <source>Begin a book, look at the demo, or open a book</source>
        <translation>Commencer un livre, voir la démonstration, ou ouvrir un livre</translation>
    </message>
    <message>
        <source>Machair</source>
        <translation>Machair</translation>
    </message>
    <message>
        <source>Wet flies and soft hackles sized to the hook in your vice, and three of them balanced into a team.</source>
        <translation>Noyées et hackles souples à la mesure de l&apos;hameçon dans votre étau, et trois d&apos;entre elles équilibrées en train.</translation>
    </message>
    <message>
        <source>Begin your own book</source>
        <translation>Commencez votre propre livre</translation>
    </message>
    <message>
        <source>The usual hooks, threads, feathers and furs come along, every measure nominal until you measure yours.</source>
        <translation>Les hameçons, soies, plumes et fourrures usuels viennent avec, chaque mesure nominale jusqu&apos;à ce que vous mesuriez la vôtre.</translation>
    </message>
    <message>
        <source>Look at Loch Skerrin</source>
        <translation>Voir Loch Skerrin</translation>
    </message>
    <message>
        <source>A made-up loch with a year of flies, days and fish, to try everything on. It is a copy: nothing can be spoilt.</source>
        <translation>Un loch inventé avec une année de mouches, de jours et de poissons, pour tout essayer. C&apos;est une copie&#xa0;: on ne peut rien gâter.</translation>
    </message>
    <message>
        <source>Open a book</source>
        <translation>Ouvrir un livre</translation>
    </message>
    <message>
        <source>A book or a bench file that you have, or that somebody gave you.</source>
        <translation>Un livre ou un fichier d&apos;établi que vous avez, ou que l&apos;on vous a donné.</translation>
    </message>
    <message>
        <source>Name of your book</source>
        <translation>Nom de votre livre</translation>
    </message>
    <message>
        <source>its name, as &quot;My flies&quot;</source>
        <translation>son nom, comme «&#xa0;Mes mouches&#xa0;»</translation>
    </message>
    <message>
        <source>Your book&apos;s name</source>
        <translation>Le nom de votre livre</translation>
    </message>
    <message>
        <source>Open lately</source>
        <translation>Ouverts récemment</translation>
    </message>
    <message>
        <source>Give it a name, then Enter</source>
        <translation>Donnez-lui un nom, puis Entrée</translation>
    </message>
    <message>
        <source>All that the window says; files stay as they are</source>
        <translation>Tout ce que dit la fenêtre&#xa0;; les fichiers restent comme ils sont</translation>
    </message>
</context>
<context>
    <name>machair::app::DrawersStation</name>
    <message>
        <source>Hooks</source>
        <translation>Hameçons</translation>
    </message>
    <message>
        <source>Put the hook in your vice in, and measure its shank and gape.</source>
        <translation>Mettez-y l&apos;hameçon de votre étau, et mesurez sa hampe et son ouverture.</translation>
    </message>
    <message>
        <source>Threads</source>
        <translation>Soies</translation>
    </message>
    <message>
        <source>A thread, by its label or denier.</source>
        <translation>Une soie, par son étiquette ou son denier.</translation>
    </message>
    <message>
        <source>Hackles</source>
        <translation>Hackles</translation>
    </message>
    <message>
        <source>A hackle, by its bird and colour.</source>
        <translation>Un hackle, par son oiseau et sa couleur.</translation>
    </message>
    <message>
        <source>Flanks, quills and plumes</source>
        <translation>Flancs, rémiges et plumes molles</translation>
    </message>
    <message>
        <source>A flank, quill, tippet or plume.</source>
        <translation>Un flanc, une rémige, un tippet ou une plume molle.</translation>
    </message>
    <message>
        <source>Furs and dubbings</source>
        <translation>Fourrures et dubbings</translation>
    </message>
    <message>
        <source>A fur by its texture, or a blend of others.</source>
        <translation>Une fourrure par sa texture, ou un mélange d&apos;autres.</translation>
    </message>
    <message>
        <source>Wires and tinsels</source>
        <translation>Fils et tinsels</translation>
    </message>
    <message>
        <source>A wire, an oval or a flat tinsel.</source>
        <translation>Un fil, un tinsel ovale ou plat.</translation>
    </message>
    <message>
        <source>Flosses and chenilles</source>
        <translation>Floss et chenilles</translation>
    </message>
    <message>
        <source>A floss, ribbon, chenille or tube.</source>
        <translation>Un floss, un ruban, une chenille ou un tube.</translation>
    </message>
    <message>
        <source>Herls, fibres and hair</source>
        <translation>Herls, fibres et poils</translation>
    </message>
    <message>
        <source>Herl, tail fibres or hair.</source>
        <translation>Du herl, des fibres de queue ou du poil.</translation>
    </message>
    <message>
        <source>Beads</source>
        <translation>Billes</translation>
    </message>
    <message>
        <source>A bead, by its diameter and metal.</source>
        <translation>Une bille, par son diamètre et son métal.</translation>
    </message>
    <message>
        <source>Cheeks, tips and legs</source>
        <translation>Joues, pointes et pattes</translation>
    </message>
    <message>
        <source>Cheeks, hackle points or legs.</source>
        <translation>Des joues, des pointes de hackle ou des pattes.</translation>
    </message>
    <message>
        <source>My feathers</source>
        <translation>Mes plumes</translation>
    </message>
    <message>
        <source>A feather of your own: lay it on the screen or photograph it, draw along the ends of its barbs, and Cut lays slips on it exactly.</source>
        <translation>Une plume à vous&#xa0;: posez-la sur l&apos;écran ou photographiez-la, tracez le long des bouts de ses barbes, et Coupe y pose les segments exactement.</translation>
    </message>
    <message>
        <source>My capes</source>
        <translation>Mes cous</translation>
    </message>
    <message>
        <source>A cape, by how many feathers of which fibre length it has: count a few bands.</source>
        <translation>Un cou, par combien de plumes de quelle longueur de fibre il a&#xa0;: comptez quelques bandes.</translation>
    </message>
    <message>
        <source>What there is</source>
        <translation>Ce qu&apos;il y a</translation>
    </message>
    <message>
        <source>How much of a material is on the spool, in the packet or in the bag.</source>
        <translation>Combien d&apos;un matériau est sur la bobine, dans le paquet ou dans le sachet.</translation>
    </message>
    <message>
        <source>Dressings</source>
        <translation>Modèles</translation>
    </message>
    <message>
        <source>A dressing starts from its kind at Plan.</source>
        <translation>Un modèle commence de sa sorte au Plan.</translation>
    </message>
    <message>
        <source>Teams</source>
        <translation>Trains</translation>
    </message>
    <message>
        <source>A team begins with one fly.</source>
        <translation>Un train commence par une mouche.</translation>
    </message>
    <message>
        <source>The fly box</source>
        <translation>La boîte à mouches</translation>
    </message>
    <message>
        <source>Flies that are tied already: how many of which.</source>
        <translation>Des mouches déjà montées&#xa0;: combien de quoi.</translation>
    </message>
    <message>
        <source>Batches</source>
        <translation>Séries</translation>
    </message>
    <message>
        <source>So many of a dressing to be tied by a day.</source>
        <translation>Tant d&apos;un modèle à monter pour un jour.</translation>
    </message>
    <message>
        <source>Waters</source>
        <translation>Eaux</translation>
    </message>
    <message>
        <source>A water with its fetch, depth and colour; its shore is drawn at Water.</source>
        <translation>Une eau avec son fetch, sa profondeur et sa couleur&#xa0;; sa rive se trace à Eau.</translation>
    </message>
    <message>
        <source>Rule cards</source>
        <translation>Cartes de règles</translation>
    </message>
    <message>
        <source>The rules of a water or a contest, as you read them.</source>
        <translation>Les règles d&apos;une eau ou d&apos;un concours, comme vous les lisez.</translation>
    </message>
    <message>
        <source>The season</source>
        <translation>La saison</translation>
    </message>
    <message>
        <source>What is about in which months, and what suits it.</source>
        <translation>Ce qui est là en quels mois, et ce qui lui convient.</translation>
    </message>
    <message>
        <source>Days</source>
        <translation>Jours</translation>
    </message>
    <message>
        <source>A day begins at Daybook.</source>
        <translation>Un jour commence au Carnet.</translation>
    </message>
    <message>
        <source>Checked flies</source>
        <translation>Mouches contrôlées</translation>
    </message>
    <message>
        <source>Flies that were measured at Check.</source>
        <translation>Des mouches mesurées au Contrôle.</translation>
    </message>
    <message>
        <source>Schools of my own</source>
        <translation>Mes écoles</translation>
    </message>
    <message>
        <source>What a team is weighed by, where you hold otherwise than the four.</source>
        <translation>Ce qui pèse un train, là où vous tenez autrement que les quatre.</translation>
    </message>
    <message>
        <source>Lists of slips</source>
        <translation>Listes de segments</translation>
    </message>
    <message>
        <source>Slips to be cut that are no dressing&apos;s.</source>
        <translation>Des segments à couper qui ne sont d&apos;aucun modèle.</translation>
    </message>
    <message>
        <source>What went wrong</source>
        <translation>Ce qui a raté</translation>
    </message>
    <message>
        <source>Faults that were chosen at Tie are counted here.</source>
        <translation>Les défauts choisis au Montage sont comptés ici.</translation>
    </message>
    <message>
        <source>Drawers</source>
        <translation>Tiroirs</translation>
    </message>
    <message>
        <source>What lies in the drawer</source>
        <translation>Ce qu&apos;il y a dans le tiroir</translation>
    </message>
    <message>
        <source>Search the drawer</source>
        <translation>Chercher dans le tiroir</translation>
    </message>
    <message>
        <source>search this drawer</source>
        <translation>chercher dans ce tiroir</translation>
    </message>
    <message>
        <source>&amp;New</source>
        <translation>&amp;Nouveau</translation>
    </message>
    <message>
        <source>Put a new thing into this drawer</source>
        <translation>Mettre une chose nouvelle dans ce tiroir</translation>
    </message>
    <message>
        <source>Cop&amp;y</source>
        <translation>Co&amp;pier</translation>
    </message>
    <message>
        <source>The chosen one once more, under a name of its own</source>
        <translation>Celui qui est choisi une fois encore, sous un nom à lui</translation>
    </message>
    <message>
        <source>Take &amp;out</source>
        <translation>Re&amp;tirer</translation>
    </message>
    <message>
        <source>Out of the book; what needs it is named first. Undo brings it back</source>
        <translation>Hors du livre&#xa0;; ce qui en a besoin est nommé d&apos;abord. Annuler le rend</translation>
    </message>
    <message>
        <source>CS&amp;V ▾</source>
        <translation>CS&amp;V ▾</translation>
    </message>
    <message>
        <source>This drawer as a table, out or in</source>
        <translation>Ce tiroir en tableau, sortie ou entrée</translation>
    </message>
    <message>
        <source>&amp;Import CSV…</source>
        <translation>&amp;Importer CSV…</translation>
    </message>
    <message>
        <source>Import CSV</source>
        <translation>Importer CSV</translation>
    </message>
    <message>
        <source>CSV (*.csv);;All files (*)</source>
        <translation>CSV (*.csv);;Tous les fichiers (*)</translation>
    </message>
    <message>
        <source>E&amp;xport CSV…</source>
        <translation>E&amp;xporter CSV…</translation>
    </message>
    <message>
        <source>Export CSV</source>
        <translation>Exporter CSV</translation>
    </message>
    <message>
        <source>CSV (*.csv)</source>
        <translation>CSV (*.csv)</translation>
    </message>
    <message>
        <source>Readings go where the cursor is. The stand-in is machair-calliper</source>
        <translation>Les mesures vont où est le curseur. La doublure est machair-calliper</translation>
    </message>
    <message>
        <source>✓ Calliper</source>
        <translation>✓ Pied à coulisse</translation>
    </message>
    <message>
        <source>Calliper: look again</source>
        <translation>Pied à coulisse&#xa0;: regarder encore</translation>
    </message>
    <message>
        <source>The calliper is ready</source>
        <translation>Le pied à coulisse est prêt</translation>
    </message>
    <message>
        <source>No calliper; look again</source>
        <translation>Pas de pied à coulisse&#xa0;; regarder encore</translation>
    </message>
    <message>
        <source>Written to %1</source>
        <translation>Écrit dans %1</translation>
    </message>
    <message>
        <source>%1 could not be written: %2</source>
        <translation>%1 n&apos;a pu être écrit&#xa0;: %2</translation>
    </message>
    <message>
        <source>%1: %2 would be new, %3 would change. Nothing is taken in yet.</source>
        <translation>%1&#xa0;: %2 seraient nouveaux, %3 changeraient. Rien n&apos;est encore repris.</translation>
    </message>
    <message>
        <source>Take it in</source>
        <translation>Le reprendre</translation>
    </message>
    <message>
        <source>As one step that can be undone</source>
        <translation>En une étape que l&apos;on peut annuler</translation>
    </message>
    <message>
        <source>Leave it</source>
        <translation>Laisser</translation>
    </message>
    <message>
        <source>Nothing is taken in</source>
        <translation>Rien n&apos;est repris</translation>
    </message>
    <message>
        <source>and %1 more</source>
        <translation>et %1 de plus</translation>
    </message>
    <message>
        <source>%1 new, %2 changed%3</source>
        <translation>%1 nouveaux, %2 changés%3</translation>
    </message>
    <message>
        <source>; read as %1</source>
        <translation>&#xa0;; lu comme %1</translation>
    </message>
    <message>
        <source>Nothing was taken in:
%1</source>
        <translation>Rien n&apos;a été repris&#xa0;:
%1</translation>
    </message>
    <message>
        <source>Go to %1</source>
        <translation>Aller à %1</translation>
    </message>
    <message>
        <source>It needs what you want to take out</source>
        <translation>Il a besoin de ce que vous voulez retirer</translation>
    </message>
</context>
<context>
    <name>machair::app::DressingPanel</name>
    <message>
        <source>no difference in the plan</source>
        <translation>aucune différence dans le plan</translation>
    </message>
    <message>
        <source>%1 fish a rod-hour against %2: %3</source>
        <translation>%1 poissons par heure de canne contre %2&#xa0;: %3</translation>
    </message>
    <message>
        <source>told apart</source>
        <translation>distingués</translation>
    </message>
    <message>
        <source>not enough to tell</source>
        <translation>pas assez pour le dire</translation>
    </message>
    <message>
        <source>neither was fished yet</source>
        <translation>ni l&apos;un ni l&apos;autre n&apos;a encore pêché</translation>
    </message>
    <message>
        <source>Varied from %1: %2.
How it did: %3.</source>
        <translation>Varié de %1&#xa0;: %2.
Ce qu&apos;il a fait&#xa0;: %3.</translation>
    </message>
    <message>
        <source>, </source>
        <translation>, </translation>
    </message>
</context>
<context>
    <name>machair::app::DriftStation</name>
    <message>
        <source>The retrieve</source>
        <translation>La récupération</translation>
    </message>
    <message>
        <source>How it is retrieved</source>
        <translation>Comment on ramène</translation>
    </message>
    <message>
        <source>steady</source>
        <translation>régulière</translation>
    </message>
    <message>
        <source>pulls and pauses</source>
        <translation>tractions et pauses</translation>
    </message>
    <message>
        <source>figure of eight</source>
        <translation>en huit</translation>
    </message>
    <message>
        <source>A figure of eight is a slow steady draw with short rests</source>
        <translation>Le huit est une traction lente et régulière à courts repos</translation>
    </message>
    <message>
        <source>pulls of</source>
        <translation>tractions de</translation>
    </message>
    <message>
        <source> s</source>
        <translation> s</translation>
    </message>
    <message>
        <source>pauses of</source>
        <translation>pauses de</translation>
    </message>
    <message>
        <source>The day</source>
        <translation>Le jour</translation>
    </message>
    <message>
        <source>drifts with the day&apos;s wind</source>
        <translation>dérive au vent du jour</translation>
    </message>
    <message>
        <source>The drift of the water&apos;s wind, with its drogue where one is out</source>
        <translation>La dérive au vent de l&apos;eau, avec son ancre flottante si elle est dehors</translation>
    </message>
    <message>
        <source>Boat drifts</source>
        <translation>Le bateau dérive</translation>
    </message>
    <message>
        <source> m/s</source>
        <translation> m/s</translation>
    </message>
    <message>
        <source>in the day&apos;s wave</source>
        <translation>dans la vague du jour</translation>
    </message>
    <message>
        <source>Runs the wave at three of its phases and says how much it moves the flies</source>
        <translation>Fait passer la vague en trois de ses phases et dit combien elle remue les mouches</translation>
    </message>
    <message>
        <source>What comes of it</source>
        <translation>Ce qui en sort</translation>
    </message>
    <message>
        <source>Ask it</source>
        <translation>Le demander</translation>
    </message>
    <message>
        <source>How long a count puts the point at</source>
        <translation>Quel compte met la pointe à</translation>
    </message>
    <message>
        <source>How fast a draw brings the point to</source>
        <translation>À quelle vitesse amener la pointe à</translation>
    </message>
    <message>
        <source>Which spacing keeps the bob up longest?</source>
        <translation>Quel écart tient la sauteuse le plus longtemps&#xa0;?</translation>
    </message>
    <message>
        <source>How fast to draw to stay in touch?</source>
        <translation>À quelle vitesse ramener pour rester en contact&#xa0;?</translation>
    </message>
    <message>
        <source>How high and how slow to hold the bob?</source>
        <translation>Jusqu&apos;où et à quelle lenteur tenir la sauteuse&#xa0;?</translation>
    </message>
    <message>
        <source>The leader&apos;s own drag, not the flies&apos; weight, sets the depth, and within 12 s the count is almost forgotten. Physics on stated shapes, on a floating line: trust the differences.</source>
        <translation>La traînée du bas de ligne, non le poids des mouches, fait la profondeur, et en 12 s le compte est presque oublié. Physique sur des formes données, sur une soie flottante&#xa0;: fiez-vous aux différences.</translation>
    </message>
    <message>
        <source>Tries it, by running the drift again and again; once more stops</source>
        <translation>Essaie, en refaisant la dérive encore et encore&#xa0;; une fois de plus arrête</translation>
    </message>
    <message>
        <source>%1 so many metres deep</source>
        <translation>la %1 à tant de mètres</translation>
    </message>
    <message>
        <source> m?</source>
        <translation> m&#xa0;?</translation>
    </message>
    <message>
        <source>▶</source>
        <translation>▶</translation>
    </message>
    <message>
        <source>Play</source>
        <translation>Jouer</translation>
    </message>
    <message>
        <source>Play the drift at its own pace (Space)</source>
        <translation>Jouer la dérive à son propre pas (Espace)</translation>
    </message>
    <message>
        <source>Time in the drift</source>
        <translation>Temps dans la dérive</translation>
    </message>
    <message>
        <source>❚❚</source>
        <translation>❚❚</translation>
    </message>
    <message>
        <source>No team hangs on the cast.</source>
        <translation>Aucun train ne pend au lancer.</translation>
    </message>
    <message>
        <source>The bob breaks the surface %1 s into the lift, with the line&apos;s end %2 m high; it holds there %3 s, works within 2 cm and a quarter of the wave %4 s and is clear of it %5 s.</source>
        <translation>La sauteuse perce la surface %1 s après le début de la relève, le bout de la ligne à %2 m&#xa0;; elle y tient %3 s, travaille à 2 cm et un quart de la vague près %4 s et en est dégagée %5 s.</translation>
    </message>
    <message>
        <source>The bob does not break the surface.</source>
        <translation>La sauteuse ne perce pas la surface.</translation>
    </message>
    <message>
        <source>%1 %2 ± %3 m</source>
        <translation>%1 %2 ± %3 m</translation>
    </message>
    <message>
        <source>In the wave, at the end of the draw: %1.</source>
        <translation>Dans la vague, à la fin de la traction&#xa0;: %1.</translation>
    </message>
    <message>
        <source>, </source>
        <translation>, </translation>
    </message>
    <message>
        <source>Trying it…</source>
        <translation>On essaie…</translation>
    </message>
    <message>
        <source>Stopped.</source>
        <translation>Arrêté.</translation>
    </message>
    <message>
        <source>%1 %2 m</source>
        <translation>%1 %2 m</translation>
    </message>
    <message>
        <source>At the end of the draw: %1.</source>
        <translation>À la fin de la traction&#xa0;: %1.</translation>
    </message>
</context>
<context>
    <name>machair::app::EveningStation</name>
    <message>
        <source>Begin the evening</source>
        <translation>Commencer la soirée</translation>
    </message>
    <message>
        <source>The clock runs along the timetable and rings when a coat is due</source>
        <translation>L&apos;horloge suit l&apos;horaire et sonne quand une couche est due</translation>
    </message>
    <message>
        <source>Calendar…</source>
        <translation>Calendrier…</translation>
    </message>
    <message>
        <source>The evening as iCalendar, from eight o&apos;clock tonight, with an alarm for each coat</source>
        <translation>La soirée en iCalendar, à partir de vingt heures ce soir, avec une alarme par couche</translation>
    </message>
    <message>
        <source>Buying list…</source>
        <translation>Liste d&apos;achats…</translation>
    </message>
    <message>
        <source>What is wanted, what there is and what to buy, as CSV or text</source>
        <translation>Ce qu&apos;il faut, ce qu&apos;il y a et ce qu&apos;il faut acheter, en CSV ou texte</translation>
    </message>
    <message>
        <source>Nothing waits to be tied</source>
        <translation>Rien n&apos;attend d&apos;être monté</translation>
    </message>
    <message>
        <source>No fly can be whole and dry by then</source>
        <translation>Aucune mouche ne peut être entière et sèche d&apos;ici là</translation>
    </message>
    <message>
        <source>Keep the evening as</source>
        <translation>Garder la soirée sous</translation>
    </message>
    <message>
        <source>iCalendar (*.ics)</source>
        <translation>iCalendar (*.ics)</translation>
    </message>
    <message>
        <source>Keep the buying list as</source>
        <translation>Garder la liste d&apos;achats sous</translation>
    </message>
    <message>
        <source>CSV (*.csv);;Text (*.txt)</source>
        <translation>CSV (*.csv);;Texte (*.txt)</translation>
    </message>
    <message>
        <source>The evening is still being laid out: a moment</source>
        <translation>La soirée s&apos;organise encore&#xa0;: un instant</translation>
    </message>
    <message>
        <source>End the evening</source>
        <translation>Finir la soirée</translation>
    </message>
    <message>
        <source>Now: %1</source>
        <translation>Maintenant&#xa0;: %1</translation>
    </message>
    <message>
        <source>%1 min gone; every coat was rung.</source>
        <translation>%1 min passées&#xa0;; chaque couche a sonné.</translation>
    </message>
    <message>
        <source>%1 min gone; in %2: %3.</source>
        <translation>%1 min passées&#xa0;; dans %2&#xa0;: %3.</translation>
    </message>
    <message>
        <source>%1 %2 min (%3 to %4)</source>
        <translation>%1 %2 min (%3 à %4)</translation>
    </message>
    <message>
        <source>Times are a rule of thumb from the steps until three of a dressing were timed.</source>
        <translation>Les temps sont une règle empirique tirée des étapes, jusqu&apos;à trois montages chronométrés d&apos;un modèle.</translation>
    </message>
    <message>
        <source>Your own times: %1.</source>
        <translation>Vos propres temps&#xa0;: %1.</translation>
    </message>
    <message>
        <source>There are</source>
        <translation>Il y a</translation>
    </message>
    <message>
        <source> min</source>
        <translation> min</translation>
    </message>
    <message>
        <source>Until this hour</source>
        <translation>Jusqu&apos;à cette heure</translation>
    </message>
    <message>
        <source>By this hour: as many minutes as there are until then</source>
        <translation>Pour cette heure&#xa0;: autant de minutes qu&apos;il y en a jusque-là</translation>
    </message>
    <message>
        <source>until</source>
        <translation>jusqu&apos;à</translation>
    </message>
    <message>
        <source>the best way</source>
        <translation>la meilleure façon</translation>
    </message>
    <message>
        <source>fly by fly</source>
        <translation>mouche par mouche</translation>
    </message>
    <message>
        <source>stage by stage</source>
        <translation>étape par étape</translation>
    </message>
    <message>
        <source>least change of material</source>
        <translation>le moins de changements</translation>
    </message>
    <message>
        <source>my order</source>
        <translation>mon ordre</translation>
    </message>
    <message>
        <source>the most by then</source>
        <translation>le plus d&apos;ici là</translation>
    </message>
    <message>
        <source>Nothing waits.</source>
        <translation>Rien n&apos;attend.</translation>
    </message>
    <message>
        <source>Laying out the evening…</source>
        <translation>On organise la soirée…</translation>
    </message>
    <message>
        <source>Within %1 min %2 of %3 can be whole and dry%4.</source>
        <translation>En %1 min %2 sur %3 peuvent être entières et sèches%4.</translation>
    </message>
    <message>
        <source> (proven)</source>
        <translation> (prouvé)</translation>
    </message>
    <message>
        <source> Hands free after %1 min, all dry after %2.</source>
        <translation> Mains libres après %1 min, tout sec après %2.</translation>
    </message>
    <message>
        <source> %1 min of hands are left: begin one more.</source>
        <translation> Il reste %1 min de mains&#xa0;: commencez-en une de plus.</translation>
    </message>
    <message>
        <source>
For another evening: %1.</source>
        <translation>
Pour une autre soirée&#xa0;: %1.</translation>
    </message>
    <message>
        <source>Hands free after %1 min, all dry after %2.
Fly by fly %3, stage by stage %4, best %5%6.
Within %7 min %8 of %9 are whole and dry%10.
%11</source>
        <translation>Mains libres après %1 min, tout sec après %2.
Mouche par mouche %3, étape par étape %4, au mieux %5%6.
En %7 min %8 sur %9 sont entières et sèches%10.
%11</translation>
    </message>
    <message>
        <source> (not before %1)</source>
        <translation> (pas moins de %1)</translation>
    </message>
    <message>
        <source>; not by then: %1</source>
        <translation>&#xa0;; pas d&apos;ici là&#xa0;: %1</translation>
    </message>
</context>
<context>
    <name>machair::app::EyeView</name>
    <message>
        <source>The eye trainer</source>
        <translation>L&apos;exercice de l&apos;œil</translation>
    </message>
    <message>
        <source>Too short</source>
        <translation>Trop court</translation>
    </message>
    <message>
        <source>The lower fly&apos;s is shorter than planned (1)</source>
        <translation>Celle du bas l&apos;a plus court que prévu (1)</translation>
    </message>
    <message>
        <source>As planned</source>
        <translation>Comme prévu</translation>
    </message>
    <message>
        <source>Both are the same (2)</source>
        <translation>Les deux sont pareilles (2)</translation>
    </message>
    <message>
        <source>Too long</source>
        <translation>Trop long</translation>
    </message>
    <message>
        <source>The lower fly&apos;s is longer than planned (3)</source>
        <translation>Celle du bas l&apos;a plus long que prévu (3)</translation>
    </message>
    <message>
        <source>Above as planned. Below: is %1 too short, as planned, or too long?</source>
        <translation>En haut comme prévu. En bas&#xa0;: est-ce que %1 est trop court, comme prévu, ou trop long&#xa0;?</translation>
    </message>
    <message>
        <source>Nothing of this fly has a length to judge by eye; choose another</source>
        <translation>Rien de cette mouche n&apos;a une longueur à juger à l&apos;œil&#xa0;; choisissez-en une autre</translation>
    </message>
    <message>
        <source>✓ Right</source>
        <translation>✓ Juste</translation>
    </message>
    <message>
        <source>✗ It was %1</source>
        <translation>✗ C&apos;était %1</translation>
    </message>
    <message>
        <source>as planned</source>
        <translation>comme prévu</translation>
    </message>
    <message>
        <source>too long</source>
        <translation>trop long</translation>
    </message>
    <message>
        <source>too short</source>
        <translation>trop court</translation>
    </message>
    <message>
        <source>, by %1 %</source>
        <translation>, de %1&#xa0;%</translation>
    </message>
    <message>
        <source>. %1 of %2 right; next time %3 %.</source>
        <translation>. %1 justes sur %2&#xa0;; la prochaine fois %3&#xa0;%.</translation>
    </message>
    <message>
        <source> Your eye sees things %1 % longer than they are: trust the gauge when you want to cut.</source>
        <translation> Votre œil voit les choses %1&#xa0;% plus longues qu&apos;elles ne sont&#xa0;: fiez-vous à la jauge quand vous voulez couper.</translation>
    </message>
    <message>
        <source> Your eye sees things %1 % shorter than they are: trust the gauge when you want to tie longer.</source>
        <translation> Votre œil voit les choses %1&#xa0;% plus courtes qu&apos;elles ne sont&#xa0;: fiez-vous à la jauge quand vous voulez monter plus long.</translation>
    </message>
</context>
<context>
    <name>machair::app::FaultSheet</name>
    <message>
        <source>Every fault and its place</source>
        <translation>Chaque défaut et sa place</translation>
    </message>
    <message>
        <source>Open &amp;another file…</source>
        <translation>Ouvrir un &amp;autre fichier…</translation>
    </message>
    <message>
        <source>Choose another bench file</source>
        <translation>Choisir un autre fichier d&apos;établi</translation>
    </message>
    <message>
        <source>&amp;Go on with the open book</source>
        <translation>&amp;Continuer avec le livre ouvert</translation>
    </message>
    <message>
        <source>Close this list; the book behind it was not touched</source>
        <translation>Fermer cette liste&#xa0;; le livre derrière n&apos;a pas été touché</translation>
    </message>
    <message>
        <source>&amp;Mend from the copies</source>
        <translation>&amp;Réparer des copies</translation>
    </message>
    <message>
        <source>Takes what is damaged from the newest copy of the book that has it whole</source>
        <translation>Prend ce qui est abîmé dans la plus récente copie du livre qui l&apos;a entier</translation>
    </message>
    <message>
        <source>&amp;Take them out</source>
        <translation>Les re&amp;tirer</translation>
    </message>
    <message>
        <source>Leaves what is damaged out of the book for good; a copy is kept first</source>
        <translation>Laisse pour de bon hors du livre ce qui est abîmé&#xa0;; une copie est gardée d&apos;abord</translation>
    </message>
    <message>
        <source>%1 is damaged in one place. </source>
        <translation>%1 est abîmé à une place. </translation>
    </message>
    <message>
        <source>%1 is damaged in %2 places. </source>
        <translation>%1 est abîmé à %2 places. </translation>
    </message>
    <message>
        <source>What is whole is open; what is not was left where it is.</source>
        <translation>Ce qui est entier est ouvert&#xa0;; ce qui ne l&apos;est pas est resté où il était.</translation>
    </message>
    <message>
        <source>%1 was not opened: one fault. The open book is as it was.</source>
        <translation>%1 n&apos;a pas été ouvert&#xa0;: un défaut. Le livre ouvert est comme il était.</translation>
    </message>
    <message>
        <source>%1 was not opened: %2 faults. The open book is as it was.</source>
        <translation>%1 n&apos;a pas été ouvert&#xa0;: %2 défauts. Le livre ouvert est comme il était.</translation>
    </message>
</context>
<context>
    <name>machair::app::FeatherView</name>
    <message>
        <source>Feathers and the slips laid on them</source>
        <translation>Les plumes et les segments posés dessus</translation>
    </message>
    <message>
        <source>%1 · %2</source>
        <translation>%1 · %2</translation>
    </message>
    <message>
        <source>gone</source>
        <translation>parti</translation>
    </message>
    <message>
        <source>spoiled</source>
        <translation>gâté</translation>
    </message>
    <message>
        <source>%1  %2</source>
        <translation>%1  %2</translation>
    </message>
    <message>
        <source>%1, %2</source>
        <translation>%1, %2</translation>
    </message>
    <message>
        <source>%1 free</source>
        <translation>%1 libre</translation>
    </message>
    <message>
        <source>pair %1</source>
        <translation>paire %1</translation>
    </message>
    <message>
        <source>, </source>
        <translation>, </translation>
    </message>
    <message>
        <source>No slips are cut for this dressing, or no feather of its kind is in the drawers. Slips come from flank and quill feathers: wings, slip tails, cloaks.</source>
        <translation>Aucun segment ne se coupe pour ce modèle, ou aucune plume de sa sorte n&apos;est dans les tiroirs. Les segments viennent de flancs et de rémiges&#xa0;: ailes, queues en segment, capes.</translation>
    </message>
    <message>
        <source>and %1 more</source>
        <translation>et %1 de plus</translation>
    </message>
    <message>
        <source>a slip of %1 mm</source>
        <translation>un segment de %1 mm</translation>
    </message>
    <message>
        <source>feather %1, %2</source>
        <translation>plume %1, %2</translation>
    </message>
    <message>
        <source>nothing cut from it</source>
        <translation>rien n&apos;y est coupé</translation>
    </message>
</context>
<context>
    <name>machair::app::FieldEditor</name>
    <message>
        <source>usual</source>
        <translation>d&apos;usage</translation>
    </message>
    <message>
        <source>Choose from pictures</source>
        <translation>Choisir parmi des images</translation>
    </message>
    <message>
        <source>Choose the colour by eye</source>
        <translation>Choisir la couleur à l&apos;œil</translation>
    </message>
    <message>
        <source>choose…</source>
        <translation>choisir…</translation>
    </message>
    <message>
        <source>Which %1?</source>
        <translation>Lequel&#xa0;: %1&#xa0;?</translation>
    </message>
    <message>
        <source>None</source>
        <translation>Aucun</translation>
    </message>
</context>
<context>
    <name>machair::app::FieldsForm</name>
    <message>
        <source>Empty where it isn&apos;t known or isn&apos;t ruled</source>
        <translation>Vide là où on ne le sait pas ou où rien n&apos;est réglé</translation>
    </message>
</context>
<context>
    <name>machair::app::FirstEvening</name>
    <message>
        <source>Skip it</source>
        <translation>Passer</translation>
    </message>
    <message>
        <source>On to the next step</source>
        <translation>À l&apos;étape suivante</translation>
    </message>
    <message>
        <source>No more of this</source>
        <translation>Assez de cela</translation>
    </message>
    <message>
        <source>The guide says the same: F1</source>
        <translation>Le guide dit la même chose&#xa0;: F1</translation>
    </message>
    <message>
        <source>That was the first evening. All of it is in the guide too: F1</source>
        <translation>C&apos;était la première soirée. Tout est aussi dans le guide&#xa0;: F1</translation>
    </message>
    <message>
        <source>%1 of %2: %3</source>
        <translation>%1 sur %2&#xa0;: %3</translation>
    </message>
</context>
<context>
    <name>machair::app::FlyView</name>
    <message>
        <source>The fly in profile</source>
        <translation>La mouche de profil</translation>
    </message>
    <message>
        <source>−</source>
        <translation>−</translation>
    </message>
    <message>
        <source>Smaller (wheel, or −)</source>
        <translation>Plus petit (molette, ou −)</translation>
    </message>
    <message>
        <source>Smaller</source>
        <translation>Plus petit</translation>
    </message>
    <message>
        <source>+</source>
        <translation>+</translation>
    </message>
    <message>
        <source>Larger (wheel, or +); drag with Space to move it</source>
        <translation>Plus grand (molette, ou +)&#xa0;; glisser avec Espace pour déplacer</translation>
    </message>
    <message>
        <source>Larger</source>
        <translation>Plus grand</translation>
    </message>
    <message>
        <source>Fit</source>
        <translation>Tout</translation>
    </message>
    <message>
        <source>All of it again (double press, or 0)</source>
        <translation>De nouveau tout (double appui, ou 0)</translation>
    </message>
    <message>
        <source>Other side</source>
        <translation>Autre côté</translation>
    </message>
    <message>
        <source>Turned half round, as it is seen from across the vice (T)</source>
        <translation>Retournée, comme on la voit d&apos;en face de l&apos;étau (T)</translation>
    </message>
    <message>
        <source>Above</source>
        <translation>Dessus</translation>
    </message>
    <message>
        <source>Looked down on, and back (U)</source>
        <translation>Vue de dessus, et retour (U)</translation>
    </message>
    <message>
        <source>From the eye</source>
        <translation>De l&apos;œillet</translation>
    </message>
    <message>
        <source>Looked at along the shank, and back (E)</source>
        <translation>Vue le long de la hampe, et retour (E)</translation>
    </message>
    <message>
        <source>The fly from above</source>
        <translation>La mouche vue de dessus</translation>
    </message>
    <message>
        <source>The fly from the eye</source>
        <translation>La mouche vue de l&apos;œillet</translation>
    </message>
    <message>
        <source>No dressing on the bench. Open a book, or choose a dressing above.</source>
        <translation>Aucun modèle sur l&apos;établi. Ouvrez un livre, ou choisissez un modèle ci-dessus.</translation>
    </message>
    <message>
        <source>%1 can&apos;t be planned</source>
        <translation>%1 ne se laisse pas planifier</translation>
    </message>
    <message>
        <source>Choose a hook above, or a thread in the ticket.</source>
        <translation>Choisissez un hameçon ci-dessus, ou une soie dans la fiche.</translation>
    </message>
    <message>
        <source>%1: drag it; Alt lets it go between the landmarks</source>
        <translation>%1&#xa0;: glissez&#xa0;; Alt le laisse aller entre les repères</translation>
    </message>
    <message>
        <source>dashed: as it is</source>
        <translation>tirets&#xa0;: comme elle est</translation>
    </message>
    <message>
        <source>dashed: as it was on %1</source>
        <translation>tirets&#xa0;: comme elle était sur %1</translation>
    </message>
    <message>
        <source>dashed: %1</source>
        <translation>tirets&#xa0;: %1</translation>
    </message>
    <message>
        <source>%1 (Esc puts it away)</source>
        <translation>%1 (Échap le range)</translation>
    </message>
    <message>
        <source>and %1 smaller ones</source>
        <translation>et %1 plus petits</translation>
    </message>
    <message>
        <source>eye</source>
        <translation>œillet</translation>
    </message>
    <message>
        <source>point</source>
        <translation>pointe</translation>
    </message>
    <message>
        <source>barb</source>
        <translation>ardillon</translation>
    </message>
    <message>
        <source>bend</source>
        <translation>courbure</translation>
    </message>
    <message>
        <source>back</source>
        <translation>dos</translation>
    </message>
    <message>
        <source> long, </source>
        <translation> de long, </translation>
    </message>
    <message>
        <source>one turn every %1</source>
        <translation>un tour tous les %1</translation>
    </message>
    <message>
        <source>above: %1</source>
        <translation>au-dessus&#xa0;: %1</translation>
    </message>
</context>
<context>
    <name>machair::app::GaugeView</name>
    <message>
        <source>Gauge at true size</source>
        <translation>Jauge en vraie grandeur</translation>
    </message>
    <message>
        <source>Lay a bank card here with its left edge on this one&apos;s, and drag the right edge (or use ← →) until both are as wide: 85.6 mm. Then press Calibrate again.</source>
        <translation>Posez ici une carte bancaire, son bord gauche sur celui-ci, et glissez le bord droit (ou ← →) jusqu&apos;à ce que les deux aient la même largeur&#xa0;: 85,6 mm. Puis pressez encore Étalonner.</translation>
    </message>
    <message>
        <source>Gauge, true size on this screen</source>
        <translation>Jauge, vraie grandeur sur cet écran</translation>
    </message>
    <message>
        <source>Gauge, roughly true: calibrate this screen once</source>
        <translation>Jauge, à peu près vraie&#xa0;: étalonnez cet écran une fois</translation>
    </message>
    <message>
        <source>%1  %2</source>
        <translation>%1  %2</translation>
    </message>
</context>
<context>
    <name>machair::app::GuideView</name>
    <message>
        <source>The guide</source>
        <translation>Le guide</translation>
    </message>
    <message>
        <source>Put away</source>
        <translation>Ranger</translation>
    </message>
    <message>
        <source>Esc</source>
        <translation>Échap</translation>
    </message>
</context>
<context>
    <name>machair::app::HandPanel</name>
    <message>
        <source>Your hand</source>
        <translation>Votre main</translation>
    </message>
    <message>
        <source>Which part</source>
        <translation>Quelle partie</translation>
    </message>
    <message>
        <source>No fly was checked yet: measure a few, and this tells what your hand always does.</source>
        <translation>Aucune mouche n&apos;a encore été contrôlée&#xa0;: mesurez-en quelques-unes, et ceci dit ce que fait toujours votre main.</translation>
    </message>
    <message>
        <source>%1 flies: %2 % %3 on average, give or take %4 %. Aim for %5 mm to land at %6 mm. A dozen all within %7 %: %8 % as tied now, %9 % at that aim.</source>
        <translation>%1 mouches&#xa0;: %2&#xa0;% %3 en moyenne, à %4&#xa0;% près. Visez %5 mm pour tomber à %6 mm. Une douzaine toutes à %7&#xa0;% près&#xa0;: %8&#xa0;% comme montées à présent, %9&#xa0;% avec cette visée.</translation>
    </message>
    <message>
        <source>over</source>
        <translation>par-dessus</translation>
    </message>
    <message>
        <source>under</source>
        <translation>sous</translation>
    </message>
    <message>
        <source> Since the first half it moved by %1 %: that is real.</source>
        <translation> Depuis la première moitié cela a bougé de %1&#xa0;%&#xa0;: c&apos;est réel.</translation>
    </message>
    <message>
        <source> No change since the first half that can be told from chance.</source>
        <translation> Aucun changement depuis la première moitié qui se distingue du hasard.</translation>
    </message>
    <message>
        <source> Practise the %1 first.</source>
        <translation> Exercez d&apos;abord&#xa0;: %1.</translation>
    </message>
</context>
<context>
    <name>machair::app::HandView</name>
    <message>
        <source>bias %1</source>
        <translation>écart %1</translation>
    </message>
    <message>
        <source>aimed</source>
        <translation>visé</translation>
    </message>
    <message>
        <source>limit %1</source>
        <translation>limite %1</translation>
    </message>
    <message>
        <source>What this hand does with the part</source>
        <translation>Ce que fait cette main de la partie</translation>
    </message>
    <message>
        <source>%1: %2 flies checked</source>
        <translation>%1&#xa0;: %2 mouches contrôlées</translation>
    </message>
    <message>
        <source>No fly was checked yet</source>
        <translation>Aucune mouche n&apos;a encore été contrôlée</translation>
    </message>
    <message>
        <source>%1: %2 flies, in the order they were checked</source>
        <translation>%1&#xa0;: %2 mouches, dans l&apos;ordre de leur contrôle</translation>
    </message>
    <message>
        <source>first</source>
        <translation>premier</translation>
    </message>
    <message>
        <source>last</source>
        <translation>dernière</translation>
    </message>
</context>
<context>
    <name>machair::app::HandingOut</name>
    <message>
        <source>Share as</source>
        <translation>Partager sous</translation>
    </message>
    <message>
        <source>Bench file to share (*.machair.json)</source>
        <translation>Fichier d&apos;établi à partager (*.machair.json)</translation>
    </message>
    <message>
        <source>Share this &amp;dressing…</source>
        <translation>Partager ce &amp;modèle…</translation>
    </message>
    <message>
        <source>With its hook and all it is tied from, as a small bench file</source>
        <translation>Avec son hameçon et tout ce dont il est monté, en petit fichier d&apos;établi</translation>
    </message>
    <message>
        <source>Share this &amp;team…</source>
        <translation>Partager ce &amp;train…</translation>
    </message>
    <message>
        <source>Its flies, their hooks and all they are tied from, as a small bench file</source>
        <translation>Ses mouches, leurs hameçons et tout ce dont elles sont montées, en petit fichier d&apos;établi</translation>
    </message>
    <message>
        <source>A &amp;picture of the fly to the clipboard</source>
        <translation>Une &amp;image de la mouche au presse-papiers</translation>
    </message>
    <message>
        <source>As large as a page is wide</source>
        <translation>Aussi grande qu&apos;une page est large</translation>
    </message>
    <message>
        <source>A picture of the team to the clipboard</source>
        <translation>Une image du train au presse-papiers</translation>
    </message>
    <message>
        <source>Its flies side by side, to one scale</source>
        <translation>Ses mouches côte à côte, à une même échelle</translation>
    </message>
    <message>
        <source>Keep the picture as</source>
        <translation>Garder l&apos;image sous</translation>
    </message>
    <message>
        <source>Picture (*.png);;Drawing (*.svg)</source>
        <translation>Image (*.png);;Dessin (*.svg)</translation>
    </message>
    <message>
        <source>Keep a picture of the fly…</source>
        <translation>Garder une image de la mouche…</translation>
    </message>
    <message>
        <source>PNG or SVG</source>
        <translation>PNG ou SVG</translation>
    </message>
    <message>
        <source>Keep a picture of the team…</source>
        <translation>Garder une image du train…</translation>
    </message>
    <message>
        <source>%1 is in %2, with all it needs</source>
        <translation>%1 est dans %2, avec tout ce qu&apos;il faut</translation>
    </message>
    <message>
        <source>Not shared: %1</source>
        <translation>Pas partagé&#xa0;: %1</translation>
    </message>
    <message>
        <source>A picture of %1 is on the clipboard</source>
        <translation>Une image de %1 est au presse-papiers</translation>
    </message>
    <message>
        <source>The picture is in %1</source>
        <translation>L&apos;image est dans %1</translation>
    </message>
    <message>
        <source>%1 could not be written</source>
        <translation>%1 n&apos;a pu être écrit</translation>
    </message>
</context>
<context>
    <name>machair::app::HandlingStrip</name>
    <message>
        <source>chosen: %1 %2</source>
        <translation>choisi&#xa0;: %1 %2</translation>
    </message>
    <message>
        <source>%1 %2</source>
        <translation>%1 %2</translation>
    </message>
    <message>
        <source>; </source>
        <translation>&#xa0;; </translation>
    </message>
    <message>
        <source>&quot;0.4 m/s to 2 m&quot;, &quot;5 s&quot;</source>
        <translation>«&#xa0;0,4 m/s à 2 m&#xa0;», «&#xa0;5 s&#xa0;»</translation>
    </message>
    <message>
        <source>&quot;12 s at 0.3 m/s&quot;</source>
        <translation>«&#xa0;12 s à 0,3 m/s&#xa0;»</translation>
    </message>
    <message>
        <source>seconds</source>
        <translation>secondes</translation>
    </message>
    <message>
        <source>Type seconds, and a speed where it has one, as &quot;12 s at 0.3 m/s&quot;</source>
        <translation>Tapez des secondes, et une vitesse là où il y en a une, comme «&#xa0;12 s à 0,3 m/s&#xa0;»</translation>
    </message>
    <message>
        <source>Drag an edge for how long, the filling&apos;s top for how fast; double-click to type. Keys: Left and Right, Page Up and Page Down, Up and Down, Delete.</source>
        <translation>Glissez un bord pour la durée, le haut du plein pour la vitesse&#xa0;; double-cliquez pour taper. Touches&#xa0;: gauche et droite, Page préc. et Page suiv., haut et bas, Suppr.</translation>
    </message>
    <message>
        <source>Takes it up: %1</source>
        <translation>Reprend&#xa0;: %1</translation>
    </message>
    <message>
        <source>The rod goes with the boat and goes on rising, so that the bob stays in the surface</source>
        <translation>La canne va avec le bateau et continue de monter, pour que la sauteuse reste en surface</translation>
    </message>
    <message>
        <source>What the rod does, against time</source>
        <translation>Ce que fait la canne, dans le temps</translation>
    </message>
    <message>
        <source>Seconds and speed</source>
        <translation>Secondes et vitesse</translation>
    </message>
    <message>
        <source>count</source>
        <translation>compte</translation>
    </message>
    <message>
        <source>pulls</source>
        <translation>tractions</translation>
    </message>
    <message>
        <source>retrieve</source>
        <translation>récupération</translation>
    </message>
    <message>
        <source>lift</source>
        <translation>relève</translation>
    </message>
    <message>
        <source>hold the bob</source>
        <translation>tenir la sauteuse</translation>
    </message>
    <message>
        <source>hang</source>
        <translation>suspension</translation>
    </message>
    <message>
        <source>%1 s</source>
        <translation>%1 s</translation>
    </message>
    <message>
        <source>%1 m/s</source>
        <translation>%1 m/s</translation>
    </message>
    <message>
        <source>%1 · %2 to %3 m</source>
        <translation>%1 · %2 à %3 m</translation>
    </message>
    <message>
        <source>%1 · drawing %2</source>
        <translation>%1 · traction %2</translation>
    </message>
    <message>
        <source>%1 · %2</source>
        <translation>%1 · %2</translation>
    </message>
    <message>
        <source>rod</source>
        <translation>canne</translation>
    </message>
    <message>
        <source>+ %1</source>
        <translation>+ %1</translation>
    </message>
</context>
<context>
    <name>machair::app::House</name>
    <message>
        <source>Light</source>
        <translation>Clair</translation>
    </message>
    <message>
        <source>Dark</source>
        <translation>Sombre</translation>
    </message>
    <message>
        <source>High contrast</source>
        <translation>Contraste fort</translation>
    </message>
    <message>
        <source>High contrast, dark</source>
        <translation>Contraste fort, sombre</translation>
    </message>
    <message>
        <source>As the system</source>
        <translation>Comme le système</translation>
    </message>
    <message>
        <source>Millimetres</source>
        <translation>Millimètres</translation>
    </message>
    <message>
        <source>Inches to 1/64</source>
        <translation>Pouces au 1/64</translation>
    </message>
    <message>
        <source>Decimal inches</source>
        <translation>Pouces décimaux</translation>
    </message>
    <message>
        <source>I tie with the left hand</source>
        <translation>Je monte de la main gauche</translation>
    </message>
    <message>
        <source>The bench is mirrored, and its words follow</source>
        <translation>L&apos;établi est en miroir, et ses mots suivent</translation>
    </message>
    <message>
        <source>I look from the far side</source>
        <translation>Je regarde du côté éloigné</translation>
    </message>
    <message>
        <source>At the vice: as the fly is seen from across it</source>
        <translation>À l&apos;étau&#xa0;: la mouche vue d&apos;en face</translation>
    </message>
    <message>
        <source>Nothing moves by itself</source>
        <translation>Rien ne bouge de soi-même</translation>
    </message>
    <message>
        <source>Flies hang where they hang at once, as where the system has its animations off</source>
        <translation>Les mouches pendent aussitôt où elles pendent, comme là où le système a coupé ses animations</translation>
    </message>
    <message>
        <source>The house</source>
        <translation>La maison</translation>
    </message>
    <message>
        <source>Put away</source>
        <translation>Ranger</translation>
    </message>
    <message>
        <source>Esc</source>
        <translation>Échap</translation>
    </message>
    <message>
        <source>The bench</source>
        <translation>L&apos;établi</translation>
    </message>
    <message>
        <source>Kept for the next start</source>
        <translation>Gardé pour le prochain départ</translation>
    </message>
    <message>
        <source>Text</source>
        <translation>Texte</translation>
    </message>
    <message>
        <source>Size of text, per cent of the system&apos;s</source>
        <translation>Taille du texte, en pour cent de celle du système</translation>
    </message>
    <message>
        <source>%1 %</source>
        <translation>%1&#xa0;%</translation>
    </message>
    <message>
        <source>Lengths</source>
        <translation>Longueurs</translation>
    </message>
    <message>
        <source>Everywhere at once: figures, fields, steps, cards, speech. Waters and leaders stay in metres</source>
        <translation>Partout à la fois&#xa0;: chiffres, champs, étapes, cartes, voix. Eaux et bas de ligne restent en mètres</translation>
    </message>
    <message>
        <source>At the vice</source>
        <translation>À l&apos;étau</translation>
    </message>
    <message>
        <source>Screens</source>
        <translation>Écrans</translation>
    </message>
    <message>
        <source>Calibrate this one</source>
        <translation>Étalonner celui-ci</translation>
    </message>
    <message>
        <source>A bank card laid on the gauge in Cut makes it true</source>
        <translation>Une carte bancaire posée sur la jauge à Coupe le rend vrai</translation>
    </message>
    <message>
        <source>Devices</source>
        <translation>Appareils</translation>
    </message>
    <message>
        <source>Look for them again</source>
        <translation>Les chercher encore</translation>
    </message>
    <message>
        <source>Calliper, weather station, pedal and camera, by the sockets of their stand-ins</source>
        <translation>Pied à coulisse, station météo, pédale et caméra, par les prises de leurs doublures</translation>
    </message>
    <message>
        <source>the screen</source>
        <translation>l&apos;écran</translation>
    </message>
    <message>
        <source>✓ %1: true, %2 px a mm</source>
        <translation>✓ %1&#xa0;: vrai, %2 px par mm</translation>
    </message>
    <message>
        <source>– %1: never calibrated</source>
        <translation>– %1&#xa0;: jamais étalonné</translation>
    </message>
    <message>
        <source> (this one)</source>
        <translation> (celui-ci)</translation>
    </message>
    <message>
        <source>: ready</source>
        <translation>&#xa0;: prêt</translation>
    </message>
    <message>
        <source>: not there</source>
        <translation>&#xa0;: absent</translation>
    </message>
    <message>
        <source>; said %1 at %2</source>
        <translation>&#xa0;; a dit %1 à %2</translation>
    </message>
    <message>
        <source>calliper</source>
        <translation>pied à coulisse</translation>
    </message>
    <message>
        <source>weather station</source>
        <translation>station météo</translation>
    </message>
    <message>
        <source>pedal</source>
        <translation>pédale</translation>
    </message>
    <message>
        <source>camera</source>
        <translation>caméra</translation>
    </message>
    <message>
        <source>Language</source>
        <translation>Langue</translation>
    </message>
    <message>
        <source>The window&apos;s; files and the command line stay as they are. It begins again at once</source>
        <translation>Celle de la fenêtre&#xa0;; fichiers et ligne de commande restent comme ils sont. Elle recommence aussitôt</translation>
    </message>
</context>
<context>
    <name>machair::app::KeySheet</name>
    <message>
        <source>Keys of this station</source>
        <translation>Touches de ce poste</translation>
    </message>
    <message>
        <source>Everywhere</source>
        <translation>Partout</translation>
    </message>
</context>
<context>
    <name>machair::app::MainWindow</name>
    <message>
        <source>Machair</source>
        <translation>Machair</translation>
    </message>
    <message>
        <source>Not kept on the disk: %1</source>
        <translation>Pas gardé sur le disque&#xa0;: %1</translation>
    </message>
    <message>
        <source>Not done: %1</source>
        <translation>Pas fait&#xa0;: %1</translation>
    </message>
    <message>
        <source>The %1 sent &quot;%2&quot;, which means nothing to it here</source>
        <translation>%1 a envoyé «&#xa0;%2&#xa0;», ce qui ne veut rien dire ici</translation>
    </message>
    <message>
        <source>The %1 sends more than a hand can: is it stuck? What is too much is dropped</source>
        <translation>%1 envoie plus que ne peut une main&#xa0;: est-ce coincé&#xa0;? Ce qui est de trop est laissé</translation>
    </message>
    <message>
        <source>%1 read, and nothing here asks for it: measure at Check, or put the cursor on a measure in Drawers</source>
        <translation>%1 lu, et rien ici ne le demande&#xa0;: mesurez au Contrôle, ou mettez le curseur sur une mesure aux Tiroirs</translation>
    </message>
    <message>
        <source>All as it was on %1</source>
        <translation>Tout comme c&apos;était le %1</translation>
    </message>
    <message>
        <source>No copy was made yet: one is, before the first edit of a session</source>
        <translation>Aucune copie ne fut encore faite&#xa0;: il s&apos;en fait une avant la première édition d&apos;une séance</translation>
    </message>
    <message>
        <source>Begin a book, or go back to one…</source>
        <translation>Commencer un livre, ou revenir à un autre…</translation>
    </message>
    <message>
        <source>&amp;Open a book…</source>
        <translation>&amp;Ouvrir un livre…</translation>
    </message>
    <message>
        <source>&amp;Keep a copy as…</source>
        <translation>&amp;Garder une copie sous…</translation>
    </message>
    <message>
        <source>The &amp;demo, Loch Skerrin</source>
        <translation>La &amp;démonstration, Loch Skerrin</translation>
    </message>
    <message>
        <source>&amp;Back to a copy…</source>
        <translation>&amp;Revenir à une copie…</translation>
    </message>
    <message>
        <source>Copies are made by themselves: of the last sessions, days, weeks and months</source>
        <translation>Des copies se font d&apos;elles-mêmes&#xa0;: des dernières séances, jours, semaines et mois</translation>
    </message>
    <message>
        <source>Take in from a bench file…</source>
        <translation>Reprendre d&apos;un fichier d&apos;établi…</translation>
    </message>
    <message>
        <source>Take in from</source>
        <translation>Reprendre de</translation>
    </message>
    <message>
        <source>Books (*.machair *.machair.json);;All files (*)</source>
        <translation>Livres (*.machair *.machair.json);;Tous les fichiers (*)</translation>
    </message>
    <message>
        <source>What is new in it, what is here already and what differs is shown before anything is taken</source>
        <translation>Ce qui y est nouveau, ce qui est déjà là et ce qui diffère est montré avant que rien ne soit repris</translation>
    </message>
    <message>
        <source>On &amp;paper…</source>
        <translation>Sur &amp;papier…</translation>
    </message>
    <message>
        <source>The &amp;house…</source>
        <translation>La &amp;maison…</translation>
    </message>
    <message>
        <source>&amp;Guide (F1)</source>
        <translation>G&amp;uide (F1)</translation>
    </message>
    <message>
        <source>&amp;Cautions</source>
        <translation>&amp;Mises en garde</translation>
    </message>
    <message>
        <source>&amp;Leave</source>
        <translation>&amp;Quitter</translation>
    </message>
    <message>
        <source>%1. It wants a dressing on the bench.</source>
        <translation>%1. Il y faut un modèle sur l&apos;établi.</translation>
    </message>
    <message>
        <source>Start a dressing…</source>
        <translation>Commencer un modèle…</translation>
    </message>
    <message>
        <source>%1. It wants a team: one to five flies on a leader.</source>
        <translation>%1. Il y faut un train&#xa0;: d&apos;une à cinq mouches sur un bas de ligne.</translation>
    </message>
    <message>
        <source>Begin a team with the fly on the bench</source>
        <translation>Commencer un train avec la mouche de l&apos;établi</translation>
    </message>
    <message>
        <source>%1 — Machair</source>
        <translation>%1 — Machair</translation>
    </message>
    <message>
        <source>. %1 keys this version doesn&apos;t know are kept: first %2</source>
        <translation>. %1 clés que cette version ne connaît pas sont gardées&#xa0;: d&apos;abord %2</translation>
    </message>
    <message>
        <source>. It may only be read here: Book, Keep a copy as… makes one to work in</source>
        <translation>. Il ne peut qu&apos;être lu ici&#xa0;: Livre, Garder une copie sous… en fait un où travailler</translation>
    </message>
    <message>
        <source>%1 could not be opened: %2</source>
        <translation>%1 n&apos;a pu être ouvert&#xa0;: %2</translation>
    </message>
    <message>
        <source>%1 is begun. Each edit is kept at once: there is nothing to save</source>
        <translation>%1 est commencé. Chaque édition est gardée aussitôt&#xa0;: il n&apos;y a rien à enregistrer</translation>
    </message>
    <message>
        <source>measure the hook in your vice, shank and gape. Its picture asks for both</source>
        <translation>mesurez l&apos;hameçon dans votre étau, hampe et ouverture. Son image demande les deux</translation>
    </message>
    <message>
        <source>Show me the hooks</source>
        <translation>Montrez-moi les hameçons</translation>
    </message>
    <message>
        <source>start a dressing from its kind: every size is a share of its hook</source>
        <translation>commencez un modèle d&apos;après sa sorte&#xa0;: chaque taille est une part de son hameçon</translation>
    </message>
    <message>
        <source>Start one…</source>
        <translation>En commencer un…</translation>
    </message>
    <message>
        <source>name it</source>
        <translation>nommez-le</translation>
    </message>
    <message>
        <source>Name it</source>
        <translation>Le nommer</translation>
    </message>
    <message>
        <source>hang it on the cast</source>
        <translation>accrochez-le au lancer</translation>
    </message>
    <message>
        <source>Begin a team with it</source>
        <translation>Commencer un train avec lui</translation>
    </message>
    <message>
        <source>start a second and a third, and hang them in the empty places</source>
        <translation>commencez un deuxième et un troisième, et accrochez-les aux places vides</translation>
    </message>
    <message>
        <source>Start another…</source>
        <translation>En commencer un autre…</translation>
    </message>
    <message>
        <source>see the three as a team</source>
        <translation>voyez les trois en train</translation>
    </message>
    <message>
        <source>Balance</source>
        <translation>Équilibre</translation>
    </message>
    <message>
        <source>print a card to lay your feathers on</source>
        <translation>imprimez une carte où poser vos plumes</translation>
    </message>
    <message>
        <source>Cut</source>
        <translation>Coupe</translation>
    </message>
    <message>
        <source>Find anything.</source>
        <translation>Trouver n&apos;importe quoi.</translation>
    </message>
    <message>
        <source>station</source>
        <translation>place</translation>
    </message>
    <message>
        <source>do it</source>
        <translation>le faire</translation>
    </message>
    <message>
        <source>command</source>
        <translation>commande</translation>
    </message>
    <message>
        <source>The first evening</source>
        <translation>La première soirée</translation>
    </message>
    <message>
        <source>The window</source>
        <translation>La fenêtre</translation>
    </message>
    <message>
        <source>Open a bench book or bench file</source>
        <translation>Ouvrir un livre ou un fichier d&apos;établi</translation>
    </message>
    <message>
        <source>Keep a copy as</source>
        <translation>Garder une copie sous</translation>
    </message>
    <message>
        <source>Bench book (*.machair);;Bench file to share (*.machair.json)</source>
        <translation>Livre d&apos;établi (*.machair);;Fichier d&apos;établi à partager (*.machair.json)</translation>
    </message>
    <message>
        <source>A copy is in %1</source>
        <translation>Une copie est dans %1</translation>
    </message>
    <message>
        <source>No copy made: %1</source>
        <translation>Pas de copie&#xa0;: %1</translation>
    </message>
    <message>
        <source>Mind

Hook points and eyes: glasses on, points away, and barbs flattened where you can.
Instant glue, varnish and solvents: fresh air, and the label decides.
UV resin and its lamp: keep both off skin and out of eyes; the maker&apos;s instructions decide.
Lead and tungsten: wash hands; some waters forbid lead.
Feathers and furs: many birds and animals are protected; lawful sources and local law decide.
Boats and wind: life jackets on; the boat owner&apos;s and local rules decide.</source>
        <translation>Attention

Pointes et œillets&#xa0;: lunettes, pointes à l&apos;écart, et ardillons aplatis là où vous pouvez.
Colle instantanée, vernis et solvants&#xa0;: air frais, et l&apos;étiquette décide.
Résine UV et sa lampe&#xa0;: loin de la peau et des yeux&#xa0;; les consignes du fabricant décident.
Plomb et tungstène&#xa0;: se laver les mains&#xa0;; certaines eaux interdisent le plomb.
Plumes et fourrures&#xa0;: beaucoup d&apos;oiseaux et d&apos;animaux sont protégés&#xa0;; des sources licites et la loi locale décident.
Bateaux et vent&#xa0;: gilets de sauvetage&#xa0;; le règlement du loueur et du lieu décide.</translation>
    </message>
    <message>
        <source>Opened %1. Dressings: %2, hooks: %3, materials: %4</source>
        <translation>%1 est ouvert. Modèles&#xa0;: %2, hameçons&#xa0;: %3, matériaux&#xa0;: %4</translation>
    </message>
</context>
<context>
    <name>machair::app::MendCards</name>
    <message>
        <source>mends all %1 that are off</source>
        <translation>répare les %1 qui n&apos;y sont pas</translation>
    </message>
    <message>
        <source>mends %1 of %2</source>
        <translation>répare %1 sur %2</translation>
    </message>
    <message>
        <source>, puts %1 off instead</source>
        <translation>, en dérange %1 à la place</translation>
    </message>
</context>
<context>
    <name>machair::app::Mends</name>
    <message>
        <source>Mend</source>
        <translation>Remède</translation>
    </message>
    <message>
        <source>Find the smallest change</source>
        <translation>Chercher le plus petit changement</translation>
    </message>
    <message>
        <source>An exact search: other flies of the box and another order first, then the flies tied a little otherwise (F5)</source>
        <translation>Une recherche exacte&#xa0;: d&apos;abord d&apos;autres mouches de la boîte et un autre ordre, puis les mouches montées un peu autrement (F5)</translation>
    </message>
    <message>
        <source>What a fly that is tied otherwise becomes</source>
        <translation>Ce que devient une mouche montée autrement</translation>
    </message>
    <message>
        <source>Whether a fly that is tied otherwise becomes a dressing of its own for this team, or the dressing itself is changed. Remembered</source>
        <translation>Si une mouche montée autrement devient un modèle à elle pour ce train, ou si le modèle lui-même change. Retenu</translation>
    </message>
    <message>
        <source>tied otherwise: a copy for this team</source>
        <translation>montée autrement&#xa0;: une copie pour ce train</translation>
    </message>
    <message>
        <source>tied otherwise: the dressing itself</source>
        <translation>montée autrement&#xa0;: le modèle lui-même</translation>
    </message>
    <message>
        <source>Stop</source>
        <translation>Arrêter</translation>
    </message>
    <message>
        <source>What would mend it, as cards</source>
        <translation>Ce qui y remédierait, en cartes</translation>
    </message>
    <message>
        <source>Point at one to see it on the cast; Enter takes it, Ctrl+Z gives it back</source>
        <translation>Pointez-en une pour la voir au lancer&#xa0;; Entrée la prend, Ctrl+Z la rend</translation>
    </message>
    <message>
        <source>Looking through the box, the orders, turns, lengths, hooks and wires…</source>
        <translation>On regarde la boîte, les ordres, les tours, les longueurs, les hameçons et les fers…</translation>
    </message>
    <message>
        <source>Stopped.</source>
        <translation>Arrêté.</translation>
    </message>
    <message>
        <source>Nothing to mend: every check passes.</source>
        <translation>Rien à réparer&#xa0;: chaque contrôle passe.</translation>
    </message>
    <message>
        <source>No small change makes it pass.</source>
        <translation>Aucun petit changement ne le fait passer.</translation>
    </message>
    <message>
        <source>The box alone doesn&apos;t mend it; flies tied a little otherwise do.</source>
        <translation>La boîte seule n&apos;y remédie pas&#xa0;; des mouches montées un peu autrement, oui.</translation>
    </message>
    <message>
        <source>The box mends it: nothing has to be tied.</source>
        <translation>La boîte y remédie&#xa0;: rien n&apos;est à monter.</translation>
    </message>
    <message>
        <source>From the box</source>
        <translation>De la boîte</translation>
    </message>
    <message>
        <source>Tied otherwise</source>
        <translation>Montées autrement</translation>
    </message>
    <message>
        <source>Keeps most of its flies, and passes</source>
        <translation>Garde le plus de ses mouches, et passe</translation>
    </message>
    <message>
        <source>%1  %2, costs %3</source>
        <translation>%1  %2, coûte %3</translation>
    </message>
    <message>
        <source>The dressing itself is changed; it touches %1</source>
        <translation>Le modèle lui-même change&#xa0;; cela touche %1</translation>
    </message>
</context>
<context>
    <name>machair::app::MishapCards</name>
    <message>
        <source>What went wrong</source>
        <translation>Ce qui a raté</translation>
    </message>
    <message>
        <source>What goes wrong with you</source>
        <translation>Ce qui rate chez vous</translation>
    </message>
    <message>
        <source>Nothing was chosen yet. When something goes wrong at a step, press W and choose its card: it is counted here, with what to practise.</source>
        <translation>Rien n&apos;a encore été choisi. Quand quelque chose rate à une étape, pressez W et choisissez sa carte&#xa0;: c&apos;est compté ici, avec ce qu&apos;il faut exercer.</translation>
    </message>
    <message>
        <source>%1 × %2</source>
        <translation>%1 × %2</translation>
    </message>
    <message>
        <source>Practise: %1</source>
        <translation>Exercez&#xa0;: %1</translation>
    </message>
    <message>
        <source>What went wrong? %1 %2</source>
        <translation>Qu&apos;est-ce qui a raté&#xa0;? %1 %2</translation>
    </message>
    <message>
        <source>What went wrong?</source>
        <translation>Qu&apos;est-ce qui a raté&#xa0;?</translation>
    </message>
    <message>
        <source>%1  %2</source>
        <translation>%1  %2</translation>
    </message>
    <message>
        <source>It didn&apos;t happen after all: not counted</source>
        <translation>Ce n&apos;est finalement pas arrivé&#xa0;: non compté</translation>
    </message>
    <message>
        <source>It happened: counted, with its mend</source>
        <translation>C&apos;est arrivé&#xa0;: compté, avec son remède</translation>
    </message>
    <message>
        <source>Something else: how it shows</source>
        <translation>Autre chose&#xa0;: comment cela se voit</translation>
    </message>
    <message>
        <source>Something else that went wrong</source>
        <translation>Autre chose qui a raté</translation>
    </message>
    <message>
        <source>This fly: how you mended it (Enter keeps it)</source>
        <translation>Cette mouche&#xa0;: comment vous y avez remédié (Entrée le garde)</translation>
    </message>
    <message>
        <source>The next: what prevents it (Enter keeps it)</source>
        <translation>La suivante&#xa0;: ce qui l&apos;évite (Entrée le garde)</translation>
    </message>
    <message>
        <source>%1; %2.</source>
        <translation>%1&#xa0;; %2.</translation>
    </message>
    <message>
        <source>Instead: %1</source>
        <translation>À la place&#xa0;: %1</translation>
    </message>
    <message>
        <source>This fly: %1</source>
        <translation>Cette mouche&#xa0;: %1</translation>
    </message>
    <message>
        <source>The next: %1</source>
        <translation>La suivante&#xa0;: %1</translation>
    </message>
    <message>
        <source>The plan could have known: %1.</source>
        <translation>Le plan aurait pu le savoir&#xa0;: %1.</translation>
    </message>
    <message>
        <source>Change the plan: %1</source>
        <translation>Changer le plan&#xa0;: %1</translation>
    </message>
    <message>
        <source>Changes the dressing, so that the next fly is planned so</source>
        <translation>Change le modèle, pour que la mouche suivante soit prévue ainsi</translation>
    </message>
</context>
<context>
    <name>machair::app::PairsView</name>
    <message>
        <source>Pairs out of a heap</source>
        <translation>Les paires d&apos;un tas</translation>
    </message>
    <message>
        <source>Measure wings, cheeks or flies one by one; the calliper writes where the cursor is. With lefts and rights apart, each pair takes one of both.</source>
        <translation>Mesurez ailes, joues ou mouches une à une&#xa0;; le pied à coulisse écrit où est le curseur. Gauches et droites à part, chaque paire en prend une de chaque.</translation>
    </message>
    <message>
        <source>the heap, or the lefts (%1)</source>
        <translation>le tas, ou les gauches (%1)</translation>
    </message>
    <message>
        <source>the rights (%1); empty where there are no sides</source>
        <translation>les droites (%1)&#xa0;; vide s&apos;il n&apos;y a pas de côtés</translation>
    </message>
    <message>
        <source>✗ Expected lengths with spaces between them, as 11.2 11.6 11.4</source>
        <translation>✗ Attendu des longueurs séparées par des espaces, comme 11.2 11.6 11.4</translation>
    </message>
    <message>
        <source>Measure the lefts as well</source>
        <translation>Mesurez aussi les gauches</translation>
    </message>
    <message>
        <source>%1 mm with %2 mm: %3 mm apart</source>
        <translation>%1 mm avec %2 mm&#xa0;: %3 mm d&apos;écart</translation>
    </message>
    <message>
        <source>%1 mm is left over</source>
        <translation>%1 mm reste seul</translation>
    </message>
    <message>
        <source>Worst pair %1 mm apart; no other pairing has a smaller sum.</source>
        <translation>Pire paire à %1 mm d&apos;écart&#xa0;; aucun autre appariement n&apos;a une somme plus petite.</translation>
    </message>
</context>
<context>
    <name>machair::app::PaperSheet</name>
    <message>
        <source>On paper</source>
        <translation>Sur papier</translation>
    </message>
    <message>
        <source>This fly&apos;s card</source>
        <translation>La carte de cette mouche</translation>
    </message>
    <message>
        <source>Its lengths and slips at true size, to lay feathers on</source>
        <translation>Ses longueurs et segments en vraie grandeur, où poser les plumes</translation>
    </message>
    <message>
        <source>Its recipe</source>
        <translation>Sa recette</translation>
    </message>
    <message>
        <source>Its picture, and what each part is of</source>
        <translation>Son image, et de quoi est chaque partie</translation>
    </message>
    <message>
        <source>The team&apos;s sheet</source>
        <translation>La feuille du train</translation>
    </message>
    <message>
        <source>The flies on their leader, and the day</source>
        <translation>Les mouches sur leur bas de ligne, et le jour</translation>
    </message>
    <message>
        <source>The length gauge</source>
        <translation>La jauge de longueur</translation>
    </message>
    <message>
        <source>The longest fly that the water&apos;s rule card allows</source>
        <translation>La plus longue mouche que permet la carte de règles de l&apos;eau</translation>
    </message>
    <message>
        <source>The season</source>
        <translation>La saison</translation>
    </message>
    <message>
        <source>A year looked back on: days, fish, and what caught them</source>
        <translation>Une année revue&#xa0;: jours, poissons, et ce qui les a pris</translation>
    </message>
    <message>
        <source>Which year</source>
        <translation>Quelle année</translation>
    </message>
    <message>
        <source>The paper</source>
        <translation>Le papier</translation>
    </message>
    <message>
        <source>a sheet of its own size</source>
        <translation>une feuille à sa propre taille</translation>
    </message>
    <message>
        <source>A6 paper</source>
        <translation>papier A6</translation>
    </message>
    <message>
        <source>A5 paper</source>
        <translation>papier A5</translation>
    </message>
    <message>
        <source>A4 paper</source>
        <translation>papier A4</translation>
    </message>
    <message>
        <source>Letter paper</source>
        <translation>papier Letter</translation>
    </message>
    <message>
        <source>Keep as PDF or SVG…</source>
        <translation>Garder en PDF ou SVG…</translation>
    </message>
    <message>
        <source>A file at its true size; PDF for archives</source>
        <translation>Un fichier en vraie grandeur&#xa0;; PDF d&apos;archive</translation>
    </message>
    <message>
        <source>Print…</source>
        <translation>Imprimer…</translation>
    </message>
    <message>
        <source>To a printer, at its true size</source>
        <translation>Sur une imprimante, en vraie grandeur</translation>
    </message>
    <message>
        <source>Put away</source>
        <translation>Ranger</translation>
    </message>
    <message>
        <source>Esc</source>
        <translation>Échap</translation>
    </message>
    <message>
        <source>Keep it as</source>
        <translation>Le garder sous</translation>
    </message>
    <message>
        <source>PDF (*.pdf);;SVG (*.svg)</source>
        <translation>PDF (*.pdf);;SVG (*.svg)</translation>
    </message>
    <message>
        <source>Nothing to print: %1.</source>
        <translation>Rien à imprimer&#xa0;: %1.</translation>
    </message>
    <message>
        <source>%1 × %2 mm</source>
        <translation>%1 × %2 mm</translation>
    </message>
    <message>
        <source>%1, at its true size.</source>
        <translation>%1, en vraie grandeur.</translation>
    </message>
    <message>
        <source>%1: this paper is too small for it, and it is never scaled. Choose a larger one.</source>
        <translation>%1&#xa0;: ce papier est trop petit, et rien n&apos;est jamais réduit. Choisissez-en un plus grand.</translation>
    </message>
    <message>
        <source>It is in %1</source>
        <translation>C&apos;est dans %1</translation>
    </message>
    <message>
        <source>%1: %2. Nothing was written</source>
        <translation>%1&#xa0;: %2. Rien n&apos;a été écrit</translation>
    </message>
    <message>
        <source>No printer is set up on this computer; it can be kept as a PDF instead</source>
        <translation>Aucune imprimante n&apos;est installée sur cet ordinateur&#xa0;; cela peut se garder en PDF</translation>
    </message>
    <message>
        <source>The printer refused; nothing was printed</source>
        <translation>L&apos;imprimante a refusé&#xa0;; rien n&apos;a été imprimé</translation>
    </message>
    <message>
        <source>It went to %1; prove it by its 50 mm bar where it has one</source>
        <translation>C&apos;est parti à %1&#xa0;; éprouvez-le par son trait de 50 mm s&apos;il en a un</translation>
    </message>
</context>
<context>
    <name>machair::app::PartRow</name>
    <message>
        <source> (your hand: %1)</source>
        <translation> (votre main&#xa0;: %1)</translation>
    </message>
    <message>
        <source>From:
%1</source>
        <translation>De&#xa0;:
%1</translation>
    </message>
    <message>
        <source>Material</source>
        <translation>Matériau</translation>
    </message>
    <message>
        <source>What it is tied from: any that such a part can be made of</source>
        <translation>Ce dont elle est montée&#xa0;: tout ce dont une telle partie peut être faite</translation>
    </message>
    <message>
        <source>of</source>
        <translation>de</translation>
    </message>
    <message>
        <source>A press on a number asks where it comes from</source>
        <translation>Un appui sur un nombre demande d&apos;où il vient</translation>
    </message>
    <message>
        <source>fewer fields</source>
        <translation>moins de champs</translation>
    </message>
    <message>
        <source>all fields</source>
        <translation>tous les champs</translation>
    </message>
    <message>
        <source>Everything that can be said of this part; what is left empty is the usual</source>
        <translation>Tout ce qui peut se dire de cette partie&#xa0;; ce qui reste vide est d&apos;usage</translation>
    </message>
    <message>
        <source>usual</source>
        <translation>d&apos;usage</translation>
    </message>
    <message>
        <source>&quot;11.7 mm&quot;, &quot;0.8 of the shank&quot;, &quot;to the point&quot;, &quot;0.4 mm past the barb&quot;; up and down nudge it</source>
        <translation>«&#xa0;11,7 mm&#xa0;», «&#xa0;0,8 de la hampe&#xa0;», «&#xa0;jusqu&apos;à la pointe&#xa0;», «&#xa0;0,4 mm au-delà de l&apos;ardillon&#xa0;»&#xa0;; haut et bas le poussent</translation>
    </message>
    <message>
        <source>&quot;at the barb&quot;, &quot;0.5 mm ahead of the point&quot;</source>
        <translation>«&#xa0;à l&apos;ardillon&#xa0;», «&#xa0;0,5 mm devant la pointe&#xa0;»</translation>
    </message>
    <message>
        <source>a number, or two as &quot;2 to 3&quot;; up and down nudge it</source>
        <translation>un nombre, ou deux comme «&#xa0;2 à 3&#xa0;»&#xa0;; haut et bas le poussent</translation>
    </message>
    <message>
        <source>a number; empty for the usual</source>
        <translation>un nombre&#xa0;; vide pour l&apos;usage</translation>
    </message>
    <message>
        <source>no such material: choose one</source>
        <translation>pas de tel matériau&#xa0;: choisissez-en un</translation>
    </message>
    <message>
        <source>what is left of the %1</source>
        <translation>ce qui reste de %1</translation>
    </message>
    <message>
        <source>the tying thread</source>
        <translation>la soie de montage</translation>
    </message>
    <message>
        <source>choose…</source>
        <translation>choisir…</translation>
    </message>
    <message>
        <source>What is the %1 of?</source>
        <translation>De quoi est&#xa0;: %1&#xa0;?</translation>
    </message>
    <message>
        <source>do it</source>
        <translation>le faire</translation>
    </message>
    <message>
        <source>Do it: %1</source>
        <translation>Faites-le&#xa0;: %1</translation>
    </message>
    <message>
        <source>Costs %1 as the team&apos;s balance counts (a turn 1, another material 2, a hook size 4: rule of thumb). Does it; undo takes it back</source>
        <translation>Coûte %1 comme compte l&apos;équilibre du train (un tour 1, un autre matériau 2, une taille d&apos;hameçon 4&#xa0;: règle empirique). Le fait&#xa0;; annuler le reprend</translation>
    </message>
</context>
<context>
    <name>machair::app::PhotoStrip</name>
    <message>
        <source>Pictures of the day</source>
        <translation>Images du jour</translation>
    </message>
    <message>
        <source>They lie outside the book&apos;s folder: look only where you know who made the book</source>
        <translation>Elles sont hors du dossier du livre&#xa0;: ne regardez que si vous savez qui a fait le livre</translation>
    </message>
    <message>
        <source>Show the picture from elsewhere</source>
        <translation>Montrer l&apos;image d&apos;ailleurs</translation>
    </message>
    <message>
        <source>Show the pictures from elsewhere</source>
        <translation>Montrer les images d&apos;ailleurs</translation>
    </message>
</context>
<context>
    <name>machair::app::PhotoView</name>
    <message>
        <source>The photograph with the plan laid over it</source>
        <translation>La photographie avec le plan posé dessus</translation>
    </message>
    <message>
        <source>, %1° up</source>
        <translation>, levée de %1°</translation>
    </message>
    <message>
        <source>where the hook&apos;s is on the picture</source>
        <translation>où est l&apos;hameçon sur l&apos;image</translation>
    </message>
</context>
<context>
    <name>machair::app::QuietLine</name>
    <message>
        <source>What just changed</source>
        <translation>Ce qui vient de changer</translation>
    </message>
</context>
<context>
    <name>machair::app::RateView</name>
    <message>
        <source>Fish a rod-hour</source>
        <translation>Poissons par heure de canne</translation>
    </message>
    <message>
        <source>%1 fish in %2 h</source>
        <translation>%1 poissons en %2 h</translation>
    </message>
    <message>
        <source>not fished</source>
        <translation>pas pêchée</translation>
    </message>
    <message>
        <source> · not enough to tell</source>
        <translation> · indécis</translation>
    </message>
    <message>
        <source>The daybook tells which fly earns its place once days are in it.&lt;br&gt;Start one on the right: its team, its hours, its fish.</source>
        <translation>Le carnet dit quelle mouche mérite sa place dès qu&apos;il a des jours.&lt;br&gt;Commencez-en un à droite&#xa0;: son train, ses heures, ses poissons.</translation>
    </message>
    <message>
        <source>the best %1 of %2</source>
        <translation>les %1 meilleures de %2</translation>
    </message>
    <message>
        <source>fish a rod-hour</source>
        <translation>poissons par heure de canne</translation>
    </message>
</context>
<context>
    <name>machair::app::RatesPanel</name>
    <message>
        <source>Rates by</source>
        <translation>Taux par</translation>
    </message>
    <message>
        <source>style</source>
        <translation>style</translation>
    </message>
    <message>
        <source>depth</source>
        <translation>profondeur</translation>
    </message>
    <message>
        <source>A fly to compare</source>
        <translation>Une mouche à comparer</translation>
    </message>
    <message>
        <source>Choose two flies to compare.</source>
        <translation>Choisissez deux mouches à comparer.</translation>
    </message>
    <message>
        <source>%1 (%2 to %3)</source>
        <translation>%1 (%2 à %3)</translation>
    </message>
    <message>
        <source>not fished</source>
        <translation>pas pêchée</translation>
    </message>
    <message>
        <source>%1 takes more: %2 % sure.</source>
        <translation>%1 prend davantage&#xa0;: sûr à %2&#xa0;%.</translation>
    </message>
    <message>
        <source>Not enough to tell which takes more.</source>
        <translation>Pas assez pour dire laquelle prend davantage.</translation>
    </message>
    <message>
        <source> %1 against %2 fish a rod-hour, </source>
        <translation> %1 contre %2 poissons par heure de canne, </translation>
    </message>
    <message>
        <source>within the %1 days both were on.</source>
        <translation>sur les %1 jours où les deux étaient mises.</translation>
    </message>
    <message>
        <source>over all days: they shared only %1.</source>
        <translation>sur tous les jours&#xa0;: elles n&apos;en ont partagé que %1.</translation>
    </message>
</context>
<context>
    <name>machair::app::RecipeSheet</name>
    <message>
        <source>A recipe, in whatever manner it is printed</source>
        <translation>Une recette, de quelque manière qu&apos;elle soit imprimée</translation>
    </message>
    <message>
        <source>The recipe&apos;s text</source>
        <translation>Le texte de la recette</translation>
    </message>
    <message>
        <source>Paste or type it here: &quot;Tail: orange tippet&quot;, a table, numbered steps, a paragraph …</source>
        <translation>Collez ou tapez-la ici (en anglais)&#xa0;: «&#xa0;Tail: orange tippet&#xa0;», un tableau, des étapes numérotées, un paragraphe…</translation>
    </message>
    <message>
        <source>Put it on the bench</source>
        <translation>La mettre sur l&apos;établi</translation>
    </message>
    <message>
        <source>A new dressing; what is still in doubt stays as its note (Ctrl+Enter)</source>
        <translation>Un nouveau modèle&#xa0;; ce qui est encore douteux reste en note (Ctrl+Entrée)</translation>
    </message>
    <message>
        <source>Leave it</source>
        <translation>Laisser</translation>
    </message>
    <message>
        <source>Nothing is taken in (Esc)</source>
        <translation>Rien n&apos;est repris (Échap)</translation>
    </message>
    <message>
        <source>Nothing yet.</source>
        <translation>Rien encore.</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1&#xa0;: %2</translation>
    </message>
    <message>
        <source>✓ every word of it is understood</source>
        <translation>✓ chaque mot en est compris</translation>
    </message>
    <message>
        <source>line %1: %2</source>
        <translation>ligne %1&#xa0;: %2</translation>
    </message>
    <message>
        <source>So it is</source>
        <translation>C&apos;est bien cela</translation>
    </message>
    <message>
        <source>As it is</source>
        <translation>Tel quel</translation>
    </message>
    <message>
        <source>What stands in for it stays, and its words as a note</source>
        <translation>Ce qui en tient lieu reste, et ses mots en note</translation>
    </message>
    <message>
        <source>%1 is on the bench, every word of it</source>
        <translation>%1 est sur l&apos;établi, chaque mot compris</translation>
    </message>
    <message>
        <source>, with %1 new in the drawers</source>
        <translation>, avec %1 nouveaux dans les tiroirs</translation>
    </message>
    <message>
        <source>The fly as it is read</source>
        <translation>La mouche telle qu&apos;elle est lue</translation>
    </message>
    <message>
        <source>%1 is on the bench; one thing in it is still in doubt</source>
        <translation>%1 est sur l&apos;établi&#xa0;; une chose y est encore douteuse</translation>
    </message>
    <message>
        <source>%1 is on the bench; %2 things in it are still in doubt</source>
        <translation>%1 est sur l&apos;établi&#xa0;; %2 choses y sont encore douteuses</translation>
    </message>
</context>
<context>
    <name>machair::app::RecordSheet</name>
    <message>
        <source>What is chosen, and its measures</source>
        <translation>Ce qui est choisi, et ses mesures</translation>
    </message>
    <message>
        <source>%1 at once: what is changed here is changed in all</source>
        <translation>%1 à la fois&#xa0;: ce qui change ici change en tous</translation>
    </message>
    <message>
        <source>Choose a thing from the tray, or put a new one in.</source>
        <translation>Choisissez une chose du plateau, ou mettez-en une nouvelle.</translation>
    </message>
    <message>
        <source>Take it &amp;out</source>
        <translation>Le re&amp;tirer</translation>
    </message>
    <message>
        <source>Undo brings it back</source>
        <translation>Annuler le rend</translation>
    </message>
    <message>
        <source>Type it, or put the cursor here and read the calliper; empty for the usual of its kind</source>
        <translation>Tapez-la, ou mettez le curseur ici et lisez le pied à coulisse&#xa0;; vide pour l&apos;usage de sa sorte</translation>
    </message>
    <message>
        <source>Empty for the usual, or where it isn&apos;t known</source>
        <translation>Vide pour l&apos;usage, ou là où on ne le sait pas</translation>
    </message>
    <message>
        <source>Add: %1</source>
        <translation>Ajouter&#xa0;: %1</translation>
    </message>
    <message>
        <source>Open it, to change it or take it out</source>
        <translation>L&apos;ouvrir, pour le changer ou le retirer</translation>
    </message>
    <message>
        <source>Go to %1</source>
        <translation>Aller à %1</translation>
    </message>
    <message>
        <source>✓ measured</source>
        <translation>✓ mesuré</translation>
    </message>
    <message>
        <source>nominal</source>
        <translation>nominal</translation>
    </message>
    <message>
        <source>Moved:</source>
        <translation>A bougé&#xa0;:</translation>
    </message>
    <message>
        <source>Nothing in the book is tied from it.</source>
        <translation>Rien dans le livre n&apos;en est monté.</translation>
    </message>
    <message>
        <source>Depends on it: %1</source>
        <translation>En dépend&#xa0;: %1</translation>
    </message>
    <message>
        <source>Moved:
%1</source>
        <translation>A bougé&#xa0;:
%1</translation>
    </message>
    <message>
        <source>%1 read: put the cursor into a measure first</source>
        <translation>%1 lu&#xa0;: mettez d&apos;abord le curseur dans une mesure</translation>
    </message>
    <message>
        <source>%1: %2 mm, reading %3 of three</source>
        <translation>%1&#xa0;: %2 mm, mesure %3 sur trois</translation>
    </message>
    <message>
        <source>%1: %2 ± %3 mm of three</source>
        <translation>%1&#xa0;: %2 ± %3 mm de trois</translation>
    </message>
</context>
<context>
    <name>machair::app::RulesPanel</name>
    <message>
        <source>Rule card</source>
        <translation>Carte de règles</translation>
    </message>
    <message>
        <source>Write one</source>
        <translation>En écrire une</translation>
    </message>
    <message>
        <source>A card of this water&apos;s or contest&apos;s rules</source>
        <translation>Une carte des règles de cette eau ou de ce concours</translation>
    </message>
    <message>
        <source>kept today</source>
        <translation>gardés aujourd&apos;hui</translation>
    </message>
    <message>
        <source>Fish kept today</source>
        <translation>Poissons gardés aujourd&apos;hui</translation>
    </message>
    <message>
        <source>Length gauge…</source>
        <translation>Jauge de longueur…</translation>
    </message>
    <message>
        <source>The longest fly that this card allows, on paper at true size (PDF or SVG)</source>
        <translation>La plus longue mouche que permet cette carte, sur papier en vraie grandeur (PDF ou SVG)</translation>
    </message>
    <message>
        <source>Keep the gauge as</source>
        <translation>Garder la jauge sous</translation>
    </message>
    <message>
        <source>PDF (*.pdf);;SVG (*.svg)</source>
        <translation>PDF (*.pdf);;SVG (*.svg)</translation>
    </message>
    <message>
        <source>Kept as %1; measure its 50 mm bar before you trust it</source>
        <translation>Gardée comme %1&#xa0;; mesurez son trait de 50 mm avant de vous y fier</translation>
    </message>
    <message>
        <source>%1: %2. Nothing was written</source>
        <translation>%1&#xa0;: %2. Rien n&apos;a été écrit</translation>
    </message>
    <message>
        <source>Change them over</source>
        <translation>Les échanger</translation>
    </message>
    <message>
        <source>Takes off what the card forbids now and puts on what stands beside it: the twin of the dressing where the box has one</source>
        <translation>Ôte ce que la carte interdit à présent et met ce qui est à côté&#xa0;: la jumelle du modèle là où la boîte en a une</translation>
    </message>
    <message>
        <source>The whole box under this card</source>
        <translation>Toute la boîte sous cette carte</translation>
    </message>
    <message>
        <source>No card: nothing is ruled here. %1</source>
        <translation>Pas de carte&#xa0;: rien n&apos;est réglé ici. %1</translation>
    </message>
    <message>
        <source>: %1; %2</source>
        <translation>&#xa0;: %1&#xa0;; %2</translation>
    </message>
    <message>
        <source>Say where and when this card was read.</source>
        <translation>Dites où et quand cette carte a été lue.</translation>
    </message>
</context>
<context>
    <name>machair::app::SaidForm</name>
    <message>
        <source>as usual:</source>
        <translation>comme d&apos;usage&#xa0;:</translation>
    </message>
    <message>
        <source>Say it; the usual holds until then</source>
        <translation>Dites-le&#xa0;; l&apos;usage vaut jusque-là</translation>
    </message>
    <message>
        <source>Say: %1</source>
        <translation>Dire&#xa0;: %1</translation>
    </message>
</context>
<context>
    <name>machair::app::Scale</name>
    <message>
        <source>Drag the mark, or type the number; Delete where it isn&apos;t known</source>
        <translation>Glissez la marque, ou tapez le nombre&#xa0;; Suppr là où on ne le sait pas</translation>
    </message>
    <message>
        <source>not said</source>
        <translation>non dit</translation>
    </message>
</context>
<context>
    <name>machair::app::SchoolsPanel</name>
    <message>
        <source>Hackle</source>
        <translation>Hackle</translation>
    </message>
    <message>
        <source>Rib</source>
        <translation>Cerclage</translation>
    </message>
    <message>
        <source>Tail</source>
        <translation>Queue</translation>
    </message>
    <message>
        <source>Body</source>
        <translation>Corps</translation>
    </message>
    <message>
        <source>Wing, legs</source>
        <translation>Aile, pattes</translation>
    </message>
    <message>
        <source>Cheeks</source>
        <translation>Joues</translation>
    </message>
    <message>
        <source>Bead</source>
        <translation>Bille</translation>
    </message>
    <message>
        <source>Hook</source>
        <translation>Hameçon</translation>
    </message>
    <message>
        <source>Head</source>
        <translation>Tête</translation>
    </message>
    <message>
        <source>The fly</source>
        <translation>La mouche</translation>
    </message>
    <message>
        <source>Schools, for all my dressings</source>
        <translation>Écoles, pour tous mes modèles</translation>
    </message>
    <message>
        <source>for this dressing</source>
        <translation>pour ce modèle</translation>
    </message>
    <message>
        <source>What a part says of itself comes first, then this, then yours for all</source>
        <translation>Ce qu&apos;une partie dit d&apos;elle-même passe d&apos;abord, puis ceci, puis ce que vous tenez pour tous</translation>
    </message>
    <message>
        <source>for all of mine</source>
        <translation>pour tous les miens</translation>
    </message>
    <message>
        <source>Each dressing that says nothing else; how new ones arrive</source>
        <translation>Chaque modèle qui ne dit rien d&apos;autre&#xa0;; comment arrivent les nouveaux</translation>
    </message>
    <message>
        <source>the usual: %1</source>
        <translation>l&apos;usage&#xa0;: %1</translation>
    </message>
    <message>
        <source>Point at an answer to see what it changes; a press takes it, the same again lets go of it.</source>
        <translation>Pointez une réponse pour voir ce qu&apos;elle change&#xa0;; un appui la prend, le même encore la lâche.</translation>
    </message>
    <message>
        <source>as it is</source>
        <translation>tel quel</translation>
    </message>
    <message>
        <source>no number of this fly; it changes: %1</source>
        <translation>aucun nombre de cette mouche&#xa0;; cela change&#xa0;: %1</translation>
    </message>
</context>
<context>
    <name>machair::app::SeaView</name>
    <message>
        <source>wind from</source>
        <translation>vent de</translation>
    </message>
    <message>
        <source>%1 degrees</source>
        <translation>%1 degrés</translation>
    </message>
    <message>
        <source>wind&apos;s force</source>
        <translation>force du vent</translation>
    </message>
    <message>
        <source>%1 m/s</source>
        <translation>%1 m/s</translation>
    </message>
    <message>
        <source>N</source>
        <translation>N</translation>
    </message>
    <message>
        <source>E</source>
        <translation>E</translation>
    </message>
    <message>
        <source>S</source>
        <translation>S</translation>
    </message>
    <message>
        <source>W</source>
        <translation>W</translation>
    </message>
    <message>
        <source>%1 m/s from %2°</source>
        <translation>%1 m/s de %2°</translation>
    </message>
    <message>
        <source>drag out the wind</source>
        <translation>tirez le vent</translation>
    </message>
    <message>
        <source>No water yet</source>
        <translation>Pas encore d&apos;eau</translation>
    </message>
    <message>
        <source>Draw the loch&apos;s shore here, or bring it in as GeoJSON, and a click measures the fetch. Without a map, type the fetch.</source>
        <translation>Tracez ici la rive du loch, ou reprenez-la en GeoJSON, et un clic mesure le fetch. Sans carte, tapez le fetch.</translation>
    </message>
    <message>
        <source>The water you fish: its wind and fetch give the wave, the wave says how full to dress.</source>
        <translation>L&apos;eau que vous pêchez&#xa0;: son vent et son fetch donnent la vague, la vague dit combien fournir.</translation>
    </message>
    <message>
        <source>500 m</source>
        <translation>500 m</translation>
    </message>
    <message>
        <source>click corner after corner of the shore, twice at the last; the frame is %1 m wide</source>
        <translation>cliquez sommet après sommet de la rive, deux fois au dernier&#xa0;; le cadre fait %1 m de large</translation>
    </message>
    <message>
        <source>fetch %1 m</source>
        <translation>fetch %1 m</translation>
    </message>
    <message>
        <source>click where the boat is to measure the fetch</source>
        <translation>cliquez où est le bateau pour mesurer le fetch</translation>
    </message>
    <message>
        <source>say where the wind is from, then a click measures the fetch</source>
        <translation>dites d&apos;où vient le vent, puis un clic mesure le fetch</translation>
    </message>
    <message>
        <source>The loch, its wave and how full to dress</source>
        <translation>Le loch, sa vague et combien fournir</translation>
    </message>
    <message>
        <source>Drag the arrow for the wind, its length is its force; drag the boat for the fetch. Keys: Left and Right turn the wind, Up and Down make it stronger or weaker</source>
        <translation>Glissez la flèche pour le vent, sa longueur est sa force&#xa0;; glissez le bateau pour le fetch. Touches&#xa0;: gauche et droite tournent le vent, haut et bas le renforcent ou l&apos;affaiblissent</translation>
    </message>
    <message>
        <source>Draw the shore</source>
        <translation>Tracer la rive</translation>
    </message>
    <message>
        <source>Begin a water</source>
        <translation>Commencer une eau</translation>
    </message>
    <message>
        <source>Click corner after corner on the map, twice at the last</source>
        <translation>Cliquez sommet après sommet sur la carte, deux fois au dernier</translation>
    </message>
    <message>
        <source>A loch of yours: its wind and fetch give the wave</source>
        <translation>Un loch à vous&#xa0;: son vent et son fetch donnent la vague</translation>
    </message>
    <message>
        <source>wave %1 cm</source>
        <translation>vague %1 cm</translation>
    </message>
    <message>
        <source> every %1 s</source>
        <translation> toutes les %1 s</translation>
    </message>
    <message>
        <source>, once it has blown %1 min</source>
        <translation>, une fois qu&apos;il a soufflé %1 min</translation>
    </message>
    <message>
        <source> · the boat drifts at %1 m/s%2</source>
        <translation> · le bateau dérive à %1 m/s%2</translation>
    </message>
    <message>
        <source> on the drogue</source>
        <translation> à l&apos;ancre flottante</translation>
    </message>
    <message>
        <source>Force %1, %2: %3</source>
        <translation>Force %1, %2&#xa0;: %3</translation>
    </message>
    <message>
        <source>Wind and fetch make the wave.</source>
        <translation>Vent et fetch font la vague.</translation>
    </message>
    <message>
        <source>How full, in usual collars · %1 %2</source>
        <translation>Combien fournie, en collerettes usuelles · %1 %2</translation>
    </message>
    <message>
        <source>How full, in usual collars</source>
        <translation>Combien fournie, en collerettes usuelles</translation>
    </message>
    <message>
        <source>%1 to %2</source>
        <translation>%1 à %2</translation>
    </message>
    <message>
        <source>, has %1%2</source>
        <translation>, a %1%2</translation>
    </message>
    <message>
        <source> ✓</source>
        <translation> ✓</translation>
    </message>
    <message>
        <source>green: what this wave wants · dot: the fly as it is dressed. A rule of thumb.</source>
        <translation>vert&#xa0;: ce que veut cette vague · point&#xa0;: la mouche telle qu&apos;elle est montée. Une règle empirique.</translation>
    </message>
</context>
<context>
    <name>machair::app::SeasonStrip</name>
    <message>
        <source>The season, day by day</source>
        <translation>La saison, jour après jour</translation>
    </message>
    <message>
        <source>No day yet: New day begins one</source>
        <translation>Pas encore de jour&#xa0;: Nouveau jour en commence un</translation>
    </message>
    <message>
        <source>%1: %2 h, %3 fish</source>
        <translation>%1&#xa0;: %2 h, %3 poissons</translation>
    </message>
    <message>
        <source>%1 h, %2 fish</source>
        <translation>%1 h, %2 poissons</translation>
    </message>
</context>
<context>
    <name>machair::app::Shelf</name>
    <message>
        <source>The fly box</source>
        <translation>La boîte à mouches</translation>
    </message>
    <message>
        <source>Flies in the box</source>
        <translation>Mouches dans la boîte</translation>
    </message>
    <message>
        <source>Chewed</source>
        <translation>Mâchée</translation>
    </message>
    <message>
        <source>One of it is chewed: still there, but spent</source>
        <translation>Une en est mâchée&#xa0;: encore là, mais usée</translation>
    </message>
    <message>
        <source>Lost</source>
        <translation>Perdue</translation>
    </message>
    <message>
        <source>One of it stayed in the water</source>
        <translation>Une en est restée dans l&apos;eau</translation>
    </message>
    <message>
        <source>Mended</source>
        <translation>Réparée</translation>
    </message>
    <message>
        <source>A chewed one is sound again</source>
        <translation>Une mâchée est de nouveau saine</translation>
    </message>
    <message>
        <source>Out</source>
        <translation>Jetée</translation>
    </message>
    <message>
        <source>A chewed one is thrown away</source>
        <translation>Une mâchée est jetée</translation>
    </message>
    <message>
        <source>Choose a fly of the box first</source>
        <translation>Choisissez d&apos;abord une mouche de la boîte</translation>
    </message>
    <message>
        <source>Tie next (rule of thumb)</source>
        <translation>À monter ensuite (règle empirique)</translation>
    </message>
    <message>
        <source>What to tie next</source>
        <translation>Que monter ensuite</translation>
    </message>
    <message>
        <source>Add as a batch</source>
        <translation>Ajouter en série</translation>
    </message>
    <message>
        <source>So many of it as stands beside &quot;Add of the bench&apos;s&quot;</source>
        <translation>Autant qu&apos;il est dit à côté de «&#xa0;Ajouter de l&apos;établi&#xa0;»</translation>
    </message>
    <message>
        <source>Choose a dressing first</source>
        <translation>Choisissez d&apos;abord un modèle</translation>
    </message>
    <message>
        <source>Runs out first</source>
        <translation>Manque d&apos;abord</translation>
    </message>
    <message>
        <source>What runs out first</source>
        <translation>Ce qui manque d&apos;abord</translation>
    </message>
    <message>
        <source>How many of the chosen fly there are</source>
        <translation>Combien il y a de la mouche choisie</translation>
    </message>
    <message>
        <source>there are </source>
        <translation>il y en a </translation>
    </message>
    <message>
        <source>I already have…</source>
        <translation>J&apos;en ai déjà…</translation>
    </message>
    <message>
        <source>Flies tied before: the dressing and its hook from pictures, then their number</source>
        <translation>Des mouches montées avant&#xa0;: le modèle et son hameçon d&apos;après images, puis leur nombre</translation>
    </message>
    <message>
        <source>Which fly do you have already?</source>
        <translation>Quelle mouche avez-vous déjà&#xa0;?</translation>
    </message>
    <message>
        <source>On which hook?</source>
        <translation>Sur quel hameçon&#xa0;?</translation>
    </message>
    <message>
        <source>%1, %2%3: %4%5%6</source>
        <translation>%1, %2%3&#xa0;: %4%5%6</translation>
    </message>
    <message>
        <source> barbless</source>
        <translation> sans ardillon</translation>
    </message>
    <message>
        <source>, %1 chewed</source>
        <translation>, %1 mâchées</translation>
    </message>
    <message>
        <source>, %1 lost</source>
        <translation>, %1 perdues</translation>
    </message>
    <message>
        <source>%1
%2 wanted, %3</source>
        <translation>%1
%2 voulus, %3</translation>
    </message>
    <message>
        <source>%1 there</source>
        <translation>%1 là</translation>
    </message>
    <message>
        <source>not counted</source>
        <translation>non compté</translation>
    </message>
    <message>
        <source>; out in %1: buy %2%3</source>
        <translation>&#xa0;; épuisé dans %1&#xa0;: acheter %2%3</translation>
    </message>
    <message>
        <source> before %1</source>
        <translation> avant %1</translation>
    </message>
    <message>
        <source>Choose it to say how much there is</source>
        <translation>Choisissez-le pour dire combien il y en a</translation>
    </message>
    <message>
        <source>No batch waits: nothing is wanted.</source>
        <translation>Aucune série n&apos;attend&#xa0;: rien ne manque.</translation>
    </message>
</context>
<context>
    <name>machair::app::SizesView</name>
    <message>
        <source>The dressing across sizes</source>
        <translation>Le modèle à travers les tailles</translation>
    </message>
    <message>
        <source>Click a fly to tie it in that size</source>
        <translation>Cliquez une mouche pour la monter dans cette taille</translation>
    </message>
    <message>
        <source>size %1</source>
        <translation>taille %1</translation>
    </message>
    <message>
        <source>shank %1, head %2 to spare</source>
        <translation>hampe %1, tête %2 de reste</translation>
    </message>
    <message>
        <source>suggests %1</source>
        <translation>suggère %1</translation>
    </message>
    <message>
        <source>; </source>
        <translation>&#xa0;; </translation>
    </message>
    <message>
        <source>as it is, to scale</source>
        <translation>telle quelle, à l&apos;échelle</translation>
    </message>
</context>
<context>
    <name>machair::app::StationBar</name>
    <message>
        <source>%1 (Ctrl+%2)</source>
        <translation>%1 (Ctrl+%2)</translation>
    </message>
    <message>
        <source>↶</source>
        <translation>↶</translation>
    </message>
    <message>
        <source>Undo</source>
        <translation>Annuler</translation>
    </message>
    <message>
        <source>Undo the last change (Ctrl+Z)</source>
        <translation>Annuler le dernier changement (Ctrl+Z)</translation>
    </message>
    <message>
        <source>↷</source>
        <translation>↷</translation>
    </message>
    <message>
        <source>Redo</source>
        <translation>Refaire</translation>
    </message>
    <message>
        <source>Do it again (Ctrl+Shift+Z)</source>
        <translation>Le refaire (Ctrl+Maj+Z)</translation>
    </message>
    <message>
        <source>◐</source>
        <translation>◐</translation>
    </message>
    <message>
        <source>Light or dark bench</source>
        <translation>Établi clair ou sombre</translation>
    </message>
    <message>
        <source>Light or dark bench (Ctrl+L)</source>
        <translation>Établi clair ou sombre (Ctrl+L)</translation>
    </message>
    <message>
        <source>&amp;Book ▾</source>
        <translation>&amp;Livre ▾</translation>
    </message>
    <message>
        <source>Book</source>
        <translation>Livre</translation>
    </message>
    <message>
        <source>Open another bench file, and more (Alt+B)</source>
        <translation>Ouvrir un autre fichier d&apos;établi, et plus (Alt+L)</translation>
    </message>
    <message>
        <source>Undo (Ctrl+Z): %1</source>
        <translation>Annuler (Ctrl+Z)&#xa0;: %1</translation>
    </message>
    <message>
        <source>Do again (Ctrl+Shift+Z): %1</source>
        <translation>Refaire (Ctrl+Maj+Z)&#xa0;: %1</translation>
    </message>
</context>
<context>
    <name>machair::app::StepStrip</name>
    <message>
        <source>The steps, the fly after each</source>
        <translation>Les étapes, la mouche après chacune</translation>
    </message>
    <message>
        <source>step %1 of %2: %3</source>
        <translation>étape %1 sur %2&#xa0;: %3</translation>
    </message>
    <message>
        <source>%1. %2 %3 %4</source>
        <translation>%1. %2 %3 %4</translation>
    </message>
    <message>
        <source>%1. %2</source>
        <translation>%1. %2</translation>
    </message>
</context>
<context>
    <name>machair::app::StepView</name>
    <message>
        <source>counted %1</source>
        <translation>compté %1</translation>
    </message>
    <message>
        <source>make ready, each %1 times for those that wait</source>
        <translation>préparer, chacun %1 fois pour celles qui attendent</translation>
    </message>
    <message>
        <source>make ready before the thread is on</source>
        <translation>préparer avant que la soie soit mise</translation>
    </message>
    <message>
        <source>fly %1 of %2 · </source>
        <translation>mouche %1 sur %2 · </translation>
    </message>
    <message>
        <source>step %1 of %2</source>
        <translation>étape %1 sur %2</translation>
    </message>
    <message>
        <source>Holds %1</source>
        <translation>Tient %1</translation>
    </message>
    <message>
        <source>; </source>
        <translation>&#xa0;; </translation>
    </message>
    <message>
        <source>Then pick up %1</source>
        <translation>Puis prenez %1</translation>
    </message>
</context>
<context>
    <name>machair::app::StockLines</name>
    <message>
        <source>out</source>
        <translation>dehors</translation>
    </message>
</context>
<context>
    <name>machair::app::TeamSheet</name>
    <message>
        <source>floats</source>
        <translation>flotte</translation>
    </message>
    <message>
        <source>%1 %</source>
        <translation>%1&#xa0;%</translation>
    </message>
    <message>
        <source>at home there</source>
        <translation>chez elle là</translation>
    </message>
    <message>
        <source>dressed for it</source>
        <translation>montée pour cela</translation>
    </message>
    <message>
        <source>how full</source>
        <translation>combien fournie</translation>
    </message>
    <message>
        <source>how stiff</source>
        <translation>combien raide</translation>
    </message>
    <message>
        <source>holds up</source>
        <translation>tient en haut</translation>
    </message>
    <message>
        <source>anchors</source>
        <translation>ancre</translation>
    </message>
    <message>
        <source>slim</source>
        <translation>mince</translation>
    </message>
    <message>
        <source>hook size</source>
        <translation>taille d&apos;hameçon</translation>
    </message>
    <message>
        <source>about now</source>
        <translation>là en ce moment</translation>
    </message>
    <message>
        <source>rule card</source>
        <translation>carte de règles</translation>
    </message>
    <message>
        <source>sinks, times</source>
        <translation>chute, fois</translation>
    </message>
    <message>
        <source>sinks, in all</source>
        <translation>chute, en tout</translation>
    </message>
    <message>
        <source>water, times</source>
        <translation>eau, fois</translation>
    </message>
    <message>
        <source>turnover, times</source>
        <translation>déploiement, fois</translation>
    </message>
    <message>
        <source>weight, times</source>
        <translation>poids, fois</translation>
    </message>
    <message>
        <source>size step</source>
        <translation>pas de taille</translation>
    </message>
    <message>
        <source>first size step</source>
        <translation>premier pas de taille</translation>
    </message>
    <message>
        <source>proportions</source>
        <translation>proportions</translation>
    </message>
    <message>
        <source>colours apart</source>
        <translation>couleurs distinctes</translation>
    </message>
    <message>
        <source>not twice</source>
        <translation>pas deux fois</translation>
    </message>
    <message>
        <source>spacing, m</source>
        <translation>écart, m</translation>
    </message>
    <message>
        <source>dropper, m</source>
        <translation>potence, m</translation>
    </message>
    <message>
        <source>The sheet of the team</source>
        <translation>La feuille du train</translation>
    </message>
    <message>
        <source>%1 and %2</source>
        <translation>%1 et %2</translation>
    </message>
    <message>
        <source>%1, %2</source>
        <translation>%1, %2</translation>
    </message>
    <message>
        <source>%1: %2 %3</source>
        <translation>%1&#xa0;: %2 %3</translation>
    </message>
    <message>
        <source>Arrows go from check to check</source>
        <translation>Les flèches vont de contrôle en contrôle</translation>
    </message>
</context>
<context>
    <name>machair::app::TeamView</name>
    <message>
        <source>The flies side by side</source>
        <translation>Les mouches côte à côte</translation>
    </message>
    <message>
        <source>Drag a fly to another position, or one in from the box; Delete takes the chosen one off</source>
        <translation>Glissez une mouche à une autre place, ou une de la boîte&#xa0;; Suppr ôte celle qui est choisie</translation>
    </message>
    <message>
        <source>A team of bob, middle and point is weighed here. Drag dressings in from the box.</source>
        <translation>Un train de sauteuse, médiane et pointe se pèse ici. Glissez-y des modèles de la boîte.</translation>
    </message>
    <message>
        <source>no %1: drag a dressing here</source>
        <translation>pas de %1&#xa0;: glissez un modèle ici</translation>
    </message>
    <message>
        <source>The fly on the bench is not on this leader</source>
        <translation>La mouche de l&apos;établi n&apos;est pas sur ce bas de ligne</translation>
    </message>
    <message>
        <source>%1, %2 cm/s</source>
        <translation>%1, %2 cm/s</translation>
    </message>
    <message>
        <source>no fly hangs here</source>
        <translation>aucune mouche ne pend ici</translation>
    </message>
    <message>
        <source>%1 m %2</source>
        <translation>%1 m %2</translation>
    </message>
    <message>
        <source>floats</source>
        <translation>flotte</translation>
    </message>
    <message>
        <source>%1 cm/s</source>
        <translation>%1 cm/s</translation>
    </message>
    <message>
        <source>pushes %1 mN</source>
        <translation>pousse %1 mN</translation>
    </message>
    <message>
        <source>%1 mg a mN pushed</source>
        <translation>%1 mg par mN poussé</translation>
    </message>
    <message>
        <source>%1 mg wet</source>
        <translation>%1 mg mouillée</translation>
    </message>
    <message>
        <source>%1 usual collars</source>
        <translation>%1 collerettes usuelles</translation>
    </message>
    <message>
        <source>%1 % of it stiff</source>
        <translation>%1&#xa0;% en est raide</translation>
    </message>
    <message>
        <source>pushes %1 times its weight</source>
        <translation>pousse %1 fois son poids</translation>
    </message>
    <message>
        <source>gape %1 · hook %2</source>
        <translation>ouverture %1 · n°&#xa0;%2</translation>
    </message>
    <message>
        <source>sinks %1 cm/s, ± a quarter</source>
        <translation>coule à %1 cm/s, ± un quart</translation>
    </message>
    <message>
        <source>pushes %1 mN of water</source>
        <translation>pousse %1 mN d&apos;eau</translation>
    </message>
    <message>
        <source>%1 mg wet · %2</source>
        <translation>%1 mg mouillée · %2</translation>
    </message>
    <message>
        <source>gape %1</source>
        <translation>ouverture %1</translation>
    </message>
</context>
<context>
    <name>machair::app::ThingView</name>
    <message>
        <source>What it looks like</source>
        <translation>De quoi cela a l&apos;air</translation>
    </message>
    <message>
        <source> ✓</source>
        <translation> ✓</translation>
    </message>
    <message>
        <source> nominal</source>
        <translation> nominal</translation>
    </message>
    <message>
        <source>on a size 10</source>
        <translation>sur une taille 10</translation>
    </message>
    <message>
        <source>usual</source>
        <translation>d&apos;usage</translation>
    </message>
    <message>
        <source>%1 %2%3</source>
        <translation>%1 %2%3</translation>
    </message>
    <message>
        <source>%1 % %2</source>
        <translation>%1&#xa0;% %2</translation>
    </message>
    <message>
        <source>makes %1 mg a mm³ packed</source>
        <translation>fait %1 mg par mm³ tassé</translation>
    </message>
</context>
<context>
    <name>machair::app::Ticket</name>
    <message>
        <source>The ticket: parts in tying order</source>
        <translation>La fiche&#xa0;: les parties dans l&apos;ordre du montage</translation>
    </message>
    <message>
        <source>&amp;Add a part ▾</source>
        <translation>&amp;Ajouter une partie ▾</translation>
    </message>
    <message>
        <source>Add a part</source>
        <translation>Ajouter une partie</translation>
    </message>
    <message>
        <source>A new part arrives where tying order wants it, in sensible proportions (Insert)</source>
        <translation>Une nouvelle partie arrive là où l&apos;ordre du montage la veut, en proportions sensées (Inser)</translation>
    </message>
    <message>
        <source>This dressing</source>
        <translation>Ce modèle</translation>
    </message>
    <message>
        <source>Where tiers disagree</source>
        <translation>Là où les monteurs diffèrent</translation>
    </message>
    <message>
        <source>%1 of its own</source>
        <translation>%1 à lui</translation>
    </message>
    <message>
        <source>as you hold them all</source>
        <translation>comme vous les tenez tous</translation>
    </message>
</context>
<context>
    <name>machair::app::TieStation</name>
    <message>
        <source>Back</source>
        <translation>Retour</translation>
    </message>
    <message>
        <source>The step before (Backspace)</source>
        <translation>L&apos;étape d&apos;avant (Retour arrière)</translation>
    </message>
    <message>
        <source>On</source>
        <translation>Suite</translation>
    </message>
    <message>
        <source>The next step (Space, Page Down or the pedal)</source>
        <translation>L&apos;étape suivante (Espace, Page suiv. ou la pédale)</translation>
    </message>
    <message>
        <source>What went wrong?</source>
        <translation>Qu&apos;est-ce qui a raté&#xa0;?</translation>
    </message>
    <message>
        <source>What can go wrong here, what can still be done, and how to prevent it (W)</source>
        <translation>Ce qui peut rater ici, ce qui peut encore se faire, et comment l&apos;éviter (W)</translation>
    </message>
    <message>
        <source>My faults</source>
        <translation>Mes défauts</translation>
    </message>
    <message>
        <source>What goes wrong with you most, and what to practise</source>
        <translation>Ce qui rate le plus chez vous, et ce qu&apos;il faut exercer</translation>
    </message>
    <message>
        <source>Fly by fly, or stage by stage where the evening was laid out so</source>
        <translation>Mouche par mouche, ou étape par étape là où la soirée fut ainsi organisée</translation>
    </message>
    <message>
        <source>Into the box</source>
        <translation>Dans la boîte</translation>
    </message>
    <message>
        <source>One more of its batch is tied, and in the box</source>
        <translation>Une de plus de sa série est montée, et dans la boîte</translation>
    </message>
    <message>
        <source>Put in order</source>
        <translation>Mettre en ordre</translation>
    </message>
    <message>
        <source>Moves the parts as little as makes them tieable</source>
        <translation>Déplace les parties aussi peu qu&apos;il faut pour qu&apos;elles se montent</translation>
    </message>
    <message>
        <source>Left hand</source>
        <translation>Main gauche</translation>
    </message>
    <message>
        <source>For a left-handed tier: the bench mirrored; near and far stay as they are</source>
        <translation>Pour un gaucher&#xa0;: l&apos;établi en miroir&#xa0;; proche et éloigné restent comme ils sont</translation>
    </message>
    <message>
        <source>Far side</source>
        <translation>Côté éloigné</translation>
    </message>
    <message>
        <source>Seen from the other side of the vice</source>
        <translation>Vu de l&apos;autre côté de l&apos;étau</translation>
    </message>
    <message>
        <source>Aloud</source>
        <translation>À voix haute</translation>
    </message>
    <message>
        <source>Says each step, where this computer has a voice</source>
        <translation>Dit chaque étape, là où cet ordinateur a une voix</translation>
    </message>
    <message>
        <source>This computer has no voice that Qt&apos;s speech module finds; the steps stay on the screen</source>
        <translation>Cet ordinateur n&apos;a pas de voix que le module de Qt trouve&#xa0;; les étapes restent à l&apos;écran</translation>
    </message>
    <message>
        <source>The dressing was changed while it is tied: its steps are new from here, what is on the hook stays as it is</source>
        <translation>Le modèle a changé pendant le montage&#xa0;: ses étapes sont neuves à partir d&apos;ici, ce qui est sur l&apos;hameçon reste</translation>
    </message>
    <message>
        <source>All %1</source>
        <translation>Toutes les %1</translation>
    </message>
    <message>
        <source>, fly %1</source>
        <translation>, mouche %1</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1&#xa0;: %2</translation>
    </message>
    <message>
        <source>✗ %1: %2.</source>
        <translation>✗ %1&#xa0;: %2.</translation>
    </message>
    <message>
        <source>Your hand: %1.</source>
        <translation>Votre main&#xa0;: %1.</translation>
    </message>
    <message>
        <source>%1 of 10, %2</source>
        <translation>%1 sur 10, %2</translation>
    </message>
    <message>
        <source>: %1. Buys most: %2 (+%3)</source>
        <translation>&#xa0;: %1. Rapporte le plus&#xa0;: %2 (+%3)</translation>
    </message>
    <message>
        <source>Lasts: </source>
        <translation>Dure&#xa0;: </translation>
    </message>
    <message>
        <source>%1 is dry</source>
        <translation>%1 est sèche</translation>
    </message>
    <message>
        <source>%1 dries %2:%3</source>
        <translation>%1 sèche %2:%3</translation>
    </message>
    <message>
        <source>✓ %1 is dry</source>
        <translation>✓ %1 est sèche</translation>
    </message>
</context>
<context>
    <name>machair::app::TimelineView</name>
    <message>
        <source>%1 h</source>
        <translation>%1 h</translation>
    </message>
    <message>
        <source>%1 min</source>
        <translation>%1 min</translation>
    </message>
    <message>
        <source>The hands</source>
        <translation>Les mains</translation>
    </message>
    <message>
        <source>over at %1 min</source>
        <translation>fini à %1 min</translation>
    </message>
    <message>
        <source>now, %1 min</source>
        <translation>maintenant, %1 min</translation>
    </message>
    <message>
        <source>No batch waits. Say on the right how many of the dressing on the bench you want; the evening lays itself out here.</source>
        <translation>Aucune série n&apos;attend. Dites à droite combien vous voulez du modèle de l&apos;établi&#xa0;; la soirée s&apos;organise ici d&apos;elle-même.</translation>
    </message>
    <message>
        <source>The evening&apos;s timetable</source>
        <translation>L&apos;horaire de la soirée</translation>
    </message>
    <message>
        <source>%1 of %2, dry at %3 min</source>
        <translation>%1 sur %2, sec à %3 min</translation>
    </message>
    <message>
        <source>when it must be over</source>
        <translation>quand cela doit être fini</translation>
    </message>
</context>
<context>
    <name>machair::app::TrayView</name>
    <message>
        <source>%1  %2</source>
        <translation>%1  %2</translation>
    </message>
    <message>
        <source>%1 × %2</source>
        <translation>%1 × %2</translation>
    </message>
    <message>
        <source>Everything laid out, in order</source>
        <translation>Tout étalé, dans l&apos;ordre</translation>
    </message>
    <message>
        <source>%1 out of the off-cuts of %2, %3 off the spool</source>
        <translation>%1 tiré des chutes de %2, %3 de la bobine</translation>
    </message>
    <message>
        <source>, </source>
        <translation>, </translation>
    </message>
    <message>
        <source>✗ the drawers hold less: fetch more before you start</source>
        <translation>✗ les tiroirs ont moins&#xa0;: allez en chercher avant de commencer</translation>
    </message>
    <message>
        <source>laid: </source>
        <translation>étalé&#xa0;: </translation>
    </message>
    <message>
        <source>: </source>
        <translation>&#xa0;: </translation>
    </message>
</context>
<context>
    <name>machair::app::VaneView</name>
    <message>
        <source>the vane</source>
        <translation>le vexille</translation>
    </message>
    <message>
        <source>barbs at the base</source>
        <translation>les barbes à la base</translation>
    </message>
    <message>
        <source>barbs in the middle</source>
        <translation>les barbes au milieu</translation>
    </message>
    <message>
        <source>barbs at the tip</source>
        <translation>les barbes à la pointe</translation>
    </message>
    <message>
        <source>On a photograph…</source>
        <translation>Sur une photographie…</translation>
    </message>
    <message>
        <source>One of the feather on squared paper: its scale, stem and barbs are drawn on it</source>
        <translation>Une photo de la plume sur papier quadrillé&#xa0;: on y trace son échelle, sa tige et ses barbes</translation>
    </message>
    <message>
        <source>The vane: draw along the ends of its barbs, or drag its marks</source>
        <translation>Le vexille&#xa0;: tracez le long des bouts de ses barbes, ou glissez ses marques</translation>
    </message>
    <message>
        <source>1 of 3. Drag over %1 of the squares.</source>
        <translation>1 sur 3. Glissez sur %1 des carreaux.</translation>
    </message>
    <message>
        <source>2 of 3. Drag along the stem, from the base of the vane to its tip.</source>
        <translation>2 sur 3. Glissez le long de la tige, de la base du vexille à sa pointe.</translation>
    </message>
    <message>
        <source>3 of 3. Draw along the ends of the barbs, from the base to the tip.</source>
        <translation>3 sur 3. Tracez le long des bouts des barbes, de la base à la pointe.</translation>
    </message>
    <message>
        <source>True size. Lay the feather here and draw along the ends of its barbs, base to tip; or drag the marks.</source>
        <translation>Vraie grandeur. Posez la plume ici et tracez le long des bouts de ses barbes, de la base à la pointe&#xa0;; ou glissez les marques.</translation>
    </message>
    <message>
        <source>Roughly true (calibrate this screen in Cut). Draw along the ends of the barbs, base to tip; or drag the marks.</source>
        <translation>À peu près vrai (étalonnez cet écran à Coupe). Tracez le long des bouts des barbes, de la base à la pointe&#xa0;; ou glissez les marques.</translation>
    </message>
    <message>
        <source>A feather on squared paper</source>
        <translation>Une plume sur papier quadrillé</translation>
    </message>
    <message>
        <source>%1 as dragged</source>
        <translation>%1 comme glissé</translation>
    </message>
    <message>
        <source>the vane as drawn</source>
        <translation>le vexille comme tracé</translation>
    </message>
    <message>
        <source>%1 mm</source>
        <translation>%1 mm</translation>
    </message>
    <message>
        <source>%1 nudged</source>
        <translation>%1 poussé</translation>
    </message>
</context>
<context>
    <name>machair::app::WaterSection</name>
    <message>
        <source>The leader in the water, and depth against time</source>
        <translation>Le bas de ligne dans l&apos;eau, et la profondeur dans le temps</translation>
    </message>
    <message>
        <source>%1 m</source>
        <translation>%1 m</translation>
    </message>
    <message>
        <source>%1, in the air</source>
        <translation>%1, en l&apos;air</translation>
    </message>
    <message>
        <source>%1  %2 m</source>
        <translation>%1  %2 m</translation>
    </message>
    <message>
        <source>Depth against time</source>
        <translation>Profondeur dans le temps</translation>
    </message>
    <message>
        <source>%1 s</source>
        <translation>%1 s</translation>
    </message>
    <message>
        <source>time at depth</source>
        <translation>temps par profondeur</translation>
    </message>
    <message>
        <source>The leader is let down into the water here.</source>
        <translation>Le bas de ligne se descend ici dans l&apos;eau.</translation>
    </message>
</context>
<context>
    <name>machair::app::WaterStation</name>
    <message>
        <source>%1: %2</source>
        <translation>%1&#xa0;: %2</translation>
    </message>
</context>
</TS>
