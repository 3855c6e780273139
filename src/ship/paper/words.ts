import type { Language } from '../../core/texts/languages.ts'

/**
 * What a printed page of rules says beyond what a player reads on a screen. `n` is a number of cards, `rows` and
 * `columns` are those of the board. Numbers stand in brackets or signs, so that no plural form is needed.
 */
export type PaperWords = {
  layOut: string
  layOutDrawn: string
  layOutAll: string
  turnBack: string
  take: string
  goAgain: string
  next: string
  most: string
}

export const PAPER_WORDS: Record<Language, PaperWords> = {
  en: {
    layOut: 'Shuffle the cards ({n}) and lay them out face down: {rows} × {columns}.',
    layOutDrawn: 'Shuffle the cards ({n}) and lay them out face down, as in the drawing.',
    layOutAll: 'Choose some pairs, shuffle their cards and lay them out face down.',
    turnBack: 'If they are no pair, turn them face down again.',
    take: 'If they are a pair, take it.',
    goAgain: 'Whoever has found a pair goes again.',
    next: 'Then it is the next player’s turn.',
    most: 'Whoever has the most pairs at the end has won.',
  },
  de: {
    layOut: 'Mische die Karten ({n}) und lege sie verdeckt aus: {rows} × {columns}.',
    layOutDrawn: 'Mische die Karten ({n}) und lege sie verdeckt aus, wie es die Zeichnung zeigt.',
    layOutAll: 'Wähle einige Paare, mische ihre Karten und lege sie verdeckt aus.',
    turnBack: 'Sind sie kein Paar, drehe sie wieder um.',
    take: 'Sind sie ein Paar, nimm es.',
    goAgain: 'Wer ein Paar gefunden hat, ist noch einmal dran.',
    next: 'Dann ist der Nächste dran.',
    most: 'Wer am Ende die meisten Paare hat, hat gewonnen.',
  },
  fr: {
    layOut: 'Mélange les cartes ({n}) et pose-les face cachée : {rows} × {columns}.',
    layOutDrawn: 'Mélange les cartes ({n}) et pose-les face cachée, comme sur le dessin.',
    layOutAll: 'Choisis quelques paires, mélange leurs cartes et pose-les face cachée.',
    turnBack: 'Si elles ne forment pas une paire, retourne-les face cachée.',
    take: 'Si elles forment une paire, prends-la.',
    goAgain: 'Qui trouve une paire rejoue.',
    next: 'C’est ensuite au joueur suivant.',
    most: 'Qui a le plus de paires à la fin a gagné.',
  },
  es: {
    layOut: 'Baraja las cartas ({n}) y colócalas boca abajo: {rows} × {columns}.',
    layOutDrawn: 'Baraja las cartas ({n}) y colócalas boca abajo, como en el dibujo.',
    layOutAll: 'Elige algunas parejas, baraja sus cartas y colócalas boca abajo.',
    turnBack: 'Si no forman pareja, vuelve a ponerlas boca abajo.',
    take: 'Si forman pareja, quédatela.',
    goAgain: 'Quien encuentra una pareja juega otra vez.',
    next: 'Después le toca al siguiente.',
    most: 'Gana quien tenga más parejas al final.',
  },
  pt: {
    layOut: 'Baralhe as cartas ({n}) e coloque-as viradas para baixo: {rows} × {columns}.',
    layOutDrawn: 'Baralhe as cartas ({n}) e coloque-as viradas para baixo, como no desenho.',
    layOutAll: 'Escolha alguns pares, baralhe as cartas e coloque-as viradas para baixo.',
    turnBack: 'Se não formarem um par, vire-as de novo para baixo.',
    take: 'Se formarem um par, fique com ele.',
    goAgain: 'Quem encontra um par joga outra vez.',
    next: 'Depois é a vez do próximo.',
    most: 'Ganha quem tiver mais pares no fim.',
  },
  it: {
    layOut: 'Mescola le carte ({n}) e disponile coperte: {rows} × {columns}.',
    layOutDrawn: 'Mescola le carte ({n}) e disponile coperte, come nel disegno.',
    layOutAll: 'Scegli alcune coppie, mescola le carte e disponile coperte.',
    turnBack: 'Se non sono una coppia, girale di nuovo.',
    take: 'Se sono una coppia, prendila.',
    goAgain: 'Chi trova una coppia gioca ancora.',
    next: 'Poi tocca al prossimo.',
    most: 'Vince chi alla fine ha più coppie.',
  },
  nl: {
    layOut: 'Schud de kaarten ({n}) en leg ze gedekt neer: {rows} × {columns}.',
    layOutDrawn: 'Schud de kaarten ({n}) en leg ze gedekt neer, zoals op de tekening.',
    layOutAll: 'Kies een paar setjes van twee, schud de kaarten en leg ze gedekt neer.',
    turnBack: 'Zijn ze geen paar, draai ze dan weer om.',
    take: 'Zijn ze een paar, pak het dan.',
    goAgain: 'Wie een paar vindt, mag nog een keer.',
    next: 'Daarna is de volgende aan de beurt.',
    most: 'Wie aan het eind de meeste paren heeft, wint.',
  },
  pl: {
    layOut: 'Potasuj karty ({n}) i ułóż je zakryte: {rows} × {columns}.',
    layOutDrawn: 'Potasuj karty ({n}) i ułóż je zakryte, tak jak na rysunku.',
    layOutAll: 'Wybierz kilka par, potasuj karty i ułóż je zakryte.',
    turnBack: 'Jeśli nie są parą, zakryj je z powrotem.',
    take: 'Jeśli są parą, weź je.',
    goAgain: 'Kto znajdzie parę, gra jeszcze raz.',
    next: 'Potem kolej na następną osobę.',
    most: 'Wygrywa ten, kto na końcu ma najwięcej par.',
  },
  tr: {
    layOut: 'Kartları ({n}) karıştır ve kapalı olarak diz: {rows} × {columns}.',
    layOutDrawn: 'Kartları ({n}) karıştır ve çizimdeki gibi kapalı olarak diz.',
    layOutAll: 'Birkaç çift seç, kartlarını karıştır ve kapalı olarak diz.',
    turnBack: 'Çift değilse yeniden kapat.',
    take: 'Çiftse al.',
    goAgain: 'Çift bulan bir daha oynar.',
    next: 'Sonra sıra bir sonraki oyuncuda.',
    most: 'Sonunda en çok çifti olan kazanır.',
  },
  uk: {
    layOut: 'Перемішай картки ({n}) і розклади їх долілиць: {rows} × {columns}.',
    layOutDrawn: 'Перемішай картки ({n}) і розклади їх долілиць, як на малюнку.',
    layOutAll: 'Вибери кілька пар, перемішай картки і розклади їх долілиць.',
    turnBack: 'Якщо це не пара, знову переверни їх.',
    take: 'Якщо це пара, забери її.',
    goAgain: 'Хто знайшов пару, ходить ще раз.',
    next: 'Потім хід наступного.',
    most: 'Виграє той, у кого наприкінці найбільше пар.',
  },
  ar: {
    layOut: 'اخلط البطاقات ({n}) وضعها مقلوبة: {rows} × {columns}.',
    layOutDrawn: 'اخلط البطاقات ({n}) وضعها مقلوبة كما في الرسم.',
    layOutAll: 'اختر بعض الأزواج واخلط بطاقاتها وضعها مقلوبة.',
    turnBack: 'إن لم تكونا زوجًا فاقلبهما من جديد.',
    take: 'إن كانتا زوجًا فخذه.',
    goAgain: 'من يجد زوجًا يلعب مرة أخرى.',
    next: 'ثم يأتي دور اللاعب التالي.',
    most: 'يفوز من لديه أكثر الأزواج في النهاية.',
  },
  he: {
    layOut: 'מערבבים את הקלפים ({n}) ומניחים אותם הפוכים: {rows} × {columns}.',
    layOutDrawn: 'מערבבים את הקלפים ({n}) ומניחים אותם הפוכים, כמו בציור.',
    layOutAll: 'בוחרים כמה זוגות, מערבבים את הקלפים ומניחים אותם הפוכים.',
    turnBack: 'אם הם לא זוג, הופכים אותם בחזרה.',
    take: 'אם הם זוג, לוקחים אותו.',
    goAgain: 'מי שמצא זוג משחק שוב.',
    next: 'אחר כך תור השחקן הבא.',
    most: 'מי שיש לו הכי הרבה זוגות בסוף מנצח.',
  },
  ja: {
    layOut: 'カードをよく混ぜて（{n} 枚）、裏向きに並べます：{rows} × {columns}。',
    layOutDrawn: 'カードをよく混ぜて（{n} 枚）、図のように裏向きに並べます。',
    layOutAll: 'いくつかのペアを選び、カードを混ぜて裏向きに並べます。',
    turnBack: 'ペアでなければ、また裏返します。',
    take: 'ペアなら、取ります。',
    goAgain: 'ペアを見つけた人は、もう一度めくります。',
    next: 'そのあとは次の人の番です。',
    most: '最後にいちばん多くペアを持っている人の勝ちです。',
  },
  'zh-Hans': {
    layOut: '把卡片（{n} 张）洗匀，背面朝上摆好：{rows} × {columns}。',
    layOutDrawn: '把卡片（{n} 张）洗匀，按图背面朝上摆好。',
    layOutAll: '选几对卡片，洗匀后背面朝上摆好。',
    turnBack: '如果不是一对，就再翻回去。',
    take: '如果是一对，就拿走。',
    goAgain: '找到一对的人再翻一次。',
    next: '然后轮到下一位。',
    most: '最后拥有最多对的人获胜。',
  },
}
